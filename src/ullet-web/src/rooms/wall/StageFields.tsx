import { RotateCcw } from "lucide-react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import { isOfCloth, type Edit, type RunSettings, type StageRole, type TackKind } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/Choice";
import { LengthField } from "../../parts/LengthField";
import { ThreadSwatch } from "../../parts/Swatch";
import { duration } from "../../state/lengths";
import type { ClothProps } from "./elementProps";

type RunRole = "cutGuide" | "placement" | "tackDown";

const WHY: Record<StageRole, string> = {
  cutGuide: "in a hooping of its own",
  placement: "shows where the cloth goes",
  tackDown: "holds the cloth",
  cover: "holds or hides the edge",
};
const STEP: Record<StageRole, string> = {
  cutGuide: "guide",
  placement: "placement",
  tackDown: "tack",
  cover: "cover",
};
const TACKS: { value: NonNullable<TackKind>; label: string }[] = [
  { value: "doubleRun", label: "double run" },
  { value: "zigzag", label: "zigzag" },
  { value: "blanket", label: "blanket stitch" },
];

/** Every stage of the piece's method: on or off, its stitch, its numbers, its thread, its time. */
export function StageFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const method = useCatalogue().data?.methods.find((known) => known.id === element.cloth.method);
  const steps = [...scene.steps, ...scene.guides.flatMap((guide) => guide.steps)];
  return (
    <>
      <ul className="space-y-3">
        {method?.stages.map(({ role, name }) => {
          if (!isOfCloth(role)) return null;
          const set = element.cloth.stages[role];
          const made = steps.find((each) => each.key === `${element.id}.${STEP[role]}.0`);
          const thread = scene.threads.find((known) => known.id === (made?.threadId ?? set.threadId));
          const change = (part: RunSettings): Edit =>
            role === "cover"
              ? {
                  edit: "setCover",
                  elementId: element.id,
                  cover: { ...element.cloth.stages.cover, off: part.off ?? false, threadId: part.threadId },
                }
              : { edit: "setRun", elementId: element.id, stage: role, run: part };
          const run = role === "cover" ? null : element.cloth.stages[role];
          const base: RunSettings = run ?? { off: set.off, threadId: set.threadId };
          const take = (part: Partial<RunSettings>) => void edits.edit(change({ ...base, ...part }));
          return (
            <li key={role}>
              <div className="flex items-baseline gap-2">
                <label className="flex items-baseline gap-2">
                  <input
                    type="checkbox"
                    className="size-4 translate-y-0.5 accent-indigo"
                    checked={!set.off}
                    onChange={(event) => take({ off: !event.target.checked })}
                  />
                  <span className="font-medium">{capitalised(name)}</span>
                </label>
                <span className="text-[13px] text-muted">{WHY[role]}</span>
                {made ? (
                  <span className="ml-auto text-[13px] whitespace-nowrap text-muted">
                    {duration(made.seconds)}
                  </span>
                ) : null}
              </div>
              {set.off ? null : (
                <div className="mt-1 ml-6 space-y-1">
                  <Choice
                    label={`Thread of the ${name}`}
                    labelHidden
                    value={set.threadId ?? ""}
                    mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
                    options={[
                      { value: "", label: `the project’s (${projectThread(scene, role)})` },
                      ...scene.threads.map((known) => ({ value: known.id, label: known.name })),
                    ]}
                    onChosen={(id) => take({ threadId: id || null })}
                  />
                  {run ? (
                    <RunNumbers
                      role={role as RunRole}
                      name={name}
                      scene={scene}
                      element={element}
                      take={take}
                    />
                  ) : null}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {element.cloth.isAsFirstSet ? null : (
        <Button
          look="quiet"
          className="text-indigo"
          onClick={() => void edits.edit({ edit: "resetStages", elementId: element.id })}
        >
          <RotateCcw size={15} aria-hidden />
          As first set
        </Button>
      )}
    </>
  );
}

interface RunProps extends Omit<ClothProps, "projectId"> {
  role: RunRole;
  name: string;
  take: (part: Partial<RunSettings>) => void;
}

/** Stitch length of a line; of a tack-down its stitch and how far inside it runs as well. */
function RunNumbers({ role, name, scene, element, take }: RunProps) {
  const set = element.cloth.stages[role];
  return (
    <div className="grid grid-cols-2 gap-1.5">
      {role === "tackDown" && element.cloth.method !== "setBehind" ? (
        <Choice
          label={`Stitch of the ${name}`}
          className="col-span-2"
          value={set.kind ?? "doubleRun"}
          options={TACKS}
          onChosen={(kind) => take({ kind: kind as TackKind })}
        />
      ) : null}
      <LengthField
        label="Stitch length"
        value={set.stitchLength ?? element.cloth.runLength}
        unit={scene.unit}
        onTyped={(stitchLength) => take({ stitchLength })}
      />
      {role === "tackDown" ? (
        <LengthField
          label="Inside the edge"
          value={element.cloth.tackInset}
          unit={scene.unit}
          onTyped={(inset) => take({ inset })}
        />
      ) : null}
    </div>
  );
}

const capitalised = (name: string) => name.charAt(0).toUpperCase() + name.slice(1);

function projectThread(scene: ClothProps["scene"], role: StageRole): string {
  const id = role === "cover" ? scene.hooping.coverThreadId : scene.hooping.lineThreadId;
  return scene.threads.find((thread) => thread.id === id)?.name ?? "none";
}
