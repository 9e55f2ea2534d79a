import { LocateFixed } from "lucide-react";
import { useEdits } from "../../../api/edits";
import type { LeftoverKind, Operation } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { IconButton } from "../../../parts/IconButton";
import { withUnit } from "../../../state/lengths";
import { useView } from "../../../state/view";
import type { ElementProps } from "../card/elementProps";
import { wallEvents } from "../../../verbs/wallEvents";

const NAMES: Record<LeftoverKind, string> = {
  crumb: "Crumb",
  neck: "Thin bridge",
  tail: "Thin end",
  coversMeet: "Covers meet",
};

/** What operations leave that is too small or too thin, with the ways to mend it. */
export function LeftoversList({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const pointAtPath = useView((view) => view.pointAtPath);
  const { leftovers } = element;
  if (leftovers.length === 0) return null;
  const add = (operation: Operation) =>
    edits.edit({ edit: "addOperation", elementId: element.id, operation });
  const bridge = leftovers.find((left) => left.kind === "neck")?.widening;
  const has = (kind: LeftoverKind) => leftovers.some((left) => left.kind === kind);

  return (
    <div className="rounded-card border border-madder/50 bg-madder-pale/40 p-2">
      <h4 className="text-[14px] font-semibold">What is left too small</h4>
      <ul className="max-h-[172px] overflow-y-auto">
        {leftovers.map((left, i) => {
          const name = `${NAMES[left.kind]} ${i + 1}`;
          const { widening } = left;
          return (
            <li
              key={`${left.kind} ${left.x} ${left.y}`}
              className="flex items-center gap-1 text-[14px]"
              onPointerEnter={() => pointAtPath(left.path)}
              onPointerLeave={() => pointAtPath(null)}
            >
              <span className="mr-auto truncate">
                {NAMES[left.kind]}{" "}
                <span className="text-[13px] text-muted">
                  {left.kind === "crumb" ? `${left.area.toFixed(1)} mm²` : withUnit(left.width, scene.unit)}
                </span>
              </span>
              <IconButton
                label={`Show ${name.toLowerCase()}`}
                className="size-7"
                onClick={() => {
                  pointAtPath(left.path);
                  wallEvents.lookAt(left.x, left.y);
                }}
              >
                <LocateFixed size={15} aria-hidden />
              </IconButton>
              {widening ? (
                <Small label={`Widen ${name.toLowerCase()}`} text="Widen" onClick={() => add(widening)} />
              ) : null}
              <Small label={`Remove ${name.toLowerCase()}`} text="Remove" onClick={() => add(left.removal)} />
            </li>
          );
        })}
      </ul>
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {has("crumb") ? (
          <Button onClick={() => add({ operation: "clearCrumbs" })}>Clear all crumbs</Button>
        ) : null}
        {bridge?.operation === "bridgeNecks" ? (
          <Button onClick={() => add({ ...bridge, only: [] })}>Widen all bridges</Button>
        ) : null}
        {has("neck") || has("tail") ? (
          <Button onClick={() => add({ operation: "cutNecks" })}>Cut all thin places</Button>
        ) : null}
      </div>
    </div>
  );
}

function Small({ label, text, onClick }: { label: string; text: string; onClick: () => void }) {
  return (
    <button
      type="button"
      aria-label={label}
      className="rounded-[6px] px-1.5 text-[13px] text-indigo hover:bg-white"
      onClick={onClick}
    >
      {text}
    </button>
  );
}
