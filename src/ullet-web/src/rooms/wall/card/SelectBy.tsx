import { ListFilter } from "lucide-react";
import { Popover } from "radix-ui";
import { useState, type ReactNode } from "react";
import type { Scene, StageChoice } from "../../../api/client";
import { isMade, type Element } from "../../../api/elements";
import { useCatalogue } from "../../../api/queries";
import { free } from "../../../canvas/hitTest";
import { mainContainer } from "../../../parts/mainContainer";
import { ClothSwatch, ThreadSwatch } from "../../../parts/Swatch";
import { useView } from "../../../state/view";

/** Selects by rule: all of one cloth, one thread, one stage. */
export function SelectBy({ scene }: { scene: Scene }) {
  const select = useView((view) => view.select);
  const [open, setOpen] = useState(false);
  const take = (fits: (element: Element) => boolean) => {
    select(scene.elements.filter((element) => free(element) && fits(element)).map((element) => element.id));
    setOpen(false);
  };
  const sewnWith = (threadId: string) => (element: Element) =>
    scene.steps.some((step) => step.ownerId === element.id && step.threadId === threadId);
  const cloths = scene.cloths.filter((cloth) => scene.elements.some((each) => isOf(each, cloth.id)));
  const methods = useCatalogue().data?.methods ?? [];
  const known = new Map(methods.flatMap((method) => method.stages).map((stage) => [stage.role, stage]));
  const stages = [...known.values()].filter(({ role }) =>
    scene.elements.some((element) => sews(scene, element, role)),
  );
  const threads = scene.threads.filter((thread) => scene.elements.some(sewnWith(thread.id)));
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        disabled={scene.elements.length === 0}
        aria-label="Select by cloth, thread or stage"
        title="Select by cloth, thread or stage"
        className="inline-flex size-8 items-center justify-center rounded-card hover:bg-indigo-pale disabled:opacity-35"
      >
        <ListFilter size={17} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal container={mainContainer()}>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={8}
          aria-label="Select all"
          className="z-40 max-h-[70vh] w-[250px] overflow-y-auto rounded-card border border-line bg-white p-2 shadow-lg"
        >
          <p className="px-2 text-[13px] text-muted">Select all of this cloth</p>
          {cloths.map((cloth) => (
            <Pick key={cloth.id} onPick={() => take((element) => isOf(element, cloth.id))}>
              <ClothSwatch cloth={cloth} /> {cloth.name}
            </Pick>
          ))}
          <p className="mt-1.5 px-2 text-[13px] text-muted">Sewn with this thread</p>
          {threads.map((thread) => (
            <Pick key={thread.id} onPick={() => take(sewnWith(thread.id))}>
              <ThreadSwatch colour={thread.colour} /> {thread.name}
            </Pick>
          ))}
          <p className="mt-1.5 px-2 text-[13px] text-muted">All that</p>
          {stages.map(({ role, name }) => (
            <Pick key={role} onPick={() => take((element) => sews(scene, element, role))}>
              have a {name}
            </Pick>
          ))}
          <Pick onPick={() => take((element) => !isMade(element, "cloth"))}>are of no cloth</Pick>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const isOf = (element: Element, clothId: string) =>
  isMade(element, "cloth") && element.making.clothId === clothId;

/** True when a stage of an element is sewn, in whatever hooping. */
function sews(scene: Scene, element: Element, stage: StageChoice["role"]): boolean {
  const steps = [...scene.steps, ...scene.guides.flatMap((guide) => guide.steps)];
  return steps.some((step) => step.ownerId === element.id && step.stage === stage);
}

function Pick({ onPick, children }: { onPick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      className="flex w-full items-center gap-2 rounded-[6px] px-2 py-1 text-left text-[14px] hover:bg-indigo-pale"
      onClick={onPick}
    >
      {children}
    </button>
  );
}
