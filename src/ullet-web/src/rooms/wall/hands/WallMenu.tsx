import { ContextMenu } from "radix-ui";
import type { ReactNode } from "react";
import type { Scene } from "../../../api/client";
import { mainContainer } from "../../../parts/mainContainer";
import { useView } from "../../../state/view";
import { useOffers, type Offer, type OfferId } from "../../../verbs/useOffers";

interface Props {
  projectId: string;
  scene: Scene;
  children: ReactNode;
}

const GROUPS: OfferId[][] = [
  ["copy", "cut", "paste", "duplicate"],
  ["centre", "flipAcross", "flipDown"],
  ["up", "down", "group", "ungroup"],
  ["lock", "hide", "construction", "all"],
  ["remove"],
];

/** What the card offers, at the pointer: right button, or the menu key. */
export function WallMenu({ projectId, scene, children }: Props) {
  const selection = useView((view) => view.selection);
  const chosen = scene.elements.filter((element) => selection.includes(element.id));
  const offers = useOffers(projectId, scene, chosen);
  return (
    <ContextMenu.Root modal={false}>
      <ContextMenu.Trigger asChild>
        <div className="relative min-w-0 flex-1">{children}</div>
      </ContextMenu.Trigger>
      <ContextMenu.Portal container={mainContainer()}>
        <ContextMenu.Content
          aria-label="What can be done"
          className="z-50 min-w-[236px] rounded-card border border-line bg-white p-1 shadow-lg"
          onKeyDown={(event) => event.stopPropagation()}
        >
          <ContextMenu.Label className="px-3 py-1 text-[13px] text-muted">
            {chosen.length === 0
              ? "Nothing selected"
              : chosen.length === 1
                ? chosen[0]?.name
                : `${chosen.length} elements`}
          </ContextMenu.Label>
          {GROUPS.map((group) => (
            <ContextMenu.Group key={group[0]} className="border-t border-line py-1">
              {group.map((id) => (
                <MenuItem key={id} offer={offers[id]} />
              ))}
            </ContextMenu.Group>
          ))}
        </ContextMenu.Content>
      </ContextMenu.Portal>
    </ContextMenu.Root>
  );
}

function MenuItem({ offer }: { offer: Offer }) {
  return (
    <ContextMenu.Item
      disabled={offer.disabled}
      onSelect={offer.run}
      className="flex cursor-pointer items-center gap-6 rounded-[6px] px-3 py-1 text-[14px] outline-none data-[disabled]:cursor-default data-[disabled]:text-muted/70 data-[highlighted]:bg-indigo-pale"
    >
      {offer.label}
      {offer.keys ? <span className="ml-auto text-[12px] text-muted">{offer.keys}</span> : null}
    </ContextMenu.Item>
  );
}
