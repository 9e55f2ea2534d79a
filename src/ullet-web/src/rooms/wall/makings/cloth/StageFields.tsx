import { RotateCcw } from "lucide-react";
import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import type { Edit, RunSettings, StageChoice, TackKind, Thread } from "../../../../api/client";
import { isStageOf, type Made, type StageRole } from "../../../../api/elements";
import { Button } from "../../../../parts/Button";
import { Choice } from "../../../../parts/fields/Choice";
import { LengthField } from "../../../../parts/fields/LengthField";
import { duration } from "../../../../state/lengths";
import type { ClothProps } from "../../card/elementProps";
import { newest } from "../../card/newest";
import { ThreadChoice } from "../ThreadChoice";
import { Tick } from "../../../../parts/fields/Tick";

type Stages = Made<"cloth">["making"]["stages"];

/** Every stage of the piece's method: on or off, its stitch, its numbers, its thread, its time. */
export function StageFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const method = useCatalogue().data?.methods.find((known) => known.id === element.making.method);
  const steps = [...scene.steps, ...scene.guides.flatMap((guide) => guide.steps)];
  return (
    <>
      <ul className="space-y-3">
        {method?.stages.map((stage) => {
          const { role, name } = stage;
          if (!isStageOf(element.making.stages, role)) return null;
          const set = element.making.stages[role];
          const made = steps.find((each) => each.ownerId === element.id && each.stage === role);
          const take = (part: RunSettings) =>
            edits.edit((now) => changed(element.id, role, newest(now, element).making.stages, part));
          return (
            <li key={role}>
              <div className="flex items-baseline gap-2">
                <Tick
                  label={
                    <>
                      <span className="font-medium">{capitalised(name)}</span>
                    </>
                  }
                  className=""
                  checked={!set.off}
                  onChanged={(on) => take({ off: !on })}
                />
                <span className="text-[13px] text-muted">{stage.why}</span>
                {made ? (
                  <span className="ml-auto text-[13px] whitespace-nowrap text-muted">
                    {duration(made.seconds)}
                  </span>
                ) : null}
              </div>
              {set.off ? null : (
                <div className="mt-1 ml-6 space-y-1">
                  <ThreadChoice
                    label={`Thread of the ${name}`}
                    labelHidden
                    threads={scene.threads}
                    value={set.threadId}
                    usual={projectThread(scene, stage.isOfCovers)}
                    whose="the project’s"
                    onChosen={(threadId) => take({ threadId })}
                  />
                  {role === "cover" ? null : (
                    <RunNumbers
                      stage={stage}
                      set={element.making.stages[role]}
                      scene={scene}
                      element={element}
                      take={take}
                    />
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ul>
      {element.making.isAsFirstSet ? null : (
        <Button
          look="quiet"
          className="text-indigo"
          onClick={() => edits.edit({ edit: "resetStages", elementId: element.id })}
        >
          <RotateCcw size={15} aria-hidden />
          As first set
        </Button>
      )}
    </>
  );
}

interface RunProps extends Omit<ClothProps, "projectId"> {
  stage: StageChoice;
  set: RunSettings;
  take: (part: RunSettings) => unknown;
}

/** Stitch length of a line; where it holds cloth its stitch and how far inside it runs as well. */
function RunNumbers({ stage, set, scene, element, take }: RunProps) {
  const tacks = useCatalogue().data?.tacks ?? [];
  return (
    <div className="grid grid-cols-2 gap-1.5">
      {stage.choosesStitch ? (
        <Choice
          label={`Stitch of the ${stage.name}`}
          className="col-span-2"
          value={set.kind ?? tacks[0]?.id ?? ""}
          options={tacks.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(kind) => take({ kind: kind as TackKind })}
        />
      ) : null}
      <LengthField
        label="Stitch length"
        value={set.stitchLength ?? element.making.runLength}
        unit={scene.unit}
        onTyped={(stitchLength) => take({ stitchLength })}
      />
      {stage.holdsCloth ? (
        <LengthField
          label="Inside the edge"
          value={element.making.tackInset}
          unit={scene.unit}
          onTyped={(inset) => take({ inset })}
        />
      ) : null}
    </div>
  );
}

/** The edit that changes something of a stage, and leaves all else of it as it stands. */
function changed(elementId: string, role: StageRole, stages: Stages, part: RunSettings): Edit {
  return role === "cover"
    ? {
        edit: "setCover",
        elementId,
        cover: { ...stages.cover, off: part.off ?? stages.cover.off, ...threadOf(part) },
      }
    : { edit: "setRun", elementId, stage: role, run: { ...stages[role], ...part } };
}

const threadOf = (part: RunSettings) => ("threadId" in part ? { threadId: part.threadId } : {});

const capitalised = (name: string) => name.charAt(0).toUpperCase() + name.slice(1);

function projectThread(scene: ClothProps["scene"], isOfCovers: boolean): Thread | undefined {
  const id = isOfCovers ? scene.hooping.coverThreadId : scene.hooping.lineThreadId;
  return scene.threads.find((thread) => thread.id === id);
}
