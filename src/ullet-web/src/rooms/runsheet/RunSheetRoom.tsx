import { Link, useParams } from "react-router";
import { isOrdered } from "../../api/client";
import { useScene } from "../../api/queries";
import { buttonClass } from "../../parts/Button";
import { useView } from "../../state/view";
import { LaneChart } from "./LaneChart";
import { OrderBar } from "./OrderBar";
import { StepFacts } from "./StepFacts";
import { StepList } from "./StepList";

/** The run sheet: what happens when, and what each needle stroke goes through. */
export function RunSheetRoom() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const stepKey = useView((view) => view.stepKey);
  if (!scene) return null;
  const steps = scene.steps.filter(isOrdered);
  if (scene.stitchCount === 0)
    return (
      <main className="flex flex-1 flex-col items-center justify-center gap-3" data-state="idle">
        <h1 className="sr-only">Run sheet</h1>
        <p className="text-[17px]">
          There are no steps yet. Lay a piece on the wall, and they write themselves.
        </p>
        <Link className={buttonClass("main")} to={`/p/${id}/wall`}>
          Go to the wall
        </Link>
      </main>
    );
  const chosen = steps.find((step) => step.key === stepKey) ?? steps[0];
  return (
    <main className="flex min-h-0 flex-1 flex-col" data-state="idle" data-revision={scene.head}>
      <OrderBar projectId={id} scene={scene} steps={steps} after={chosen} />
      <div className="flex min-h-0 flex-1">
        <div className="flex min-w-0 flex-1 flex-col">
          <LaneChart lanes={scene.runSheet.lanes} steps={steps} chosenKey={chosen?.key ?? null} />
          {chosen ? (
            <StepFacts key={chosen.key} projectId={id} scene={scene} steps={steps} step={chosen} />
          ) : null}
        </div>
        <StepList projectId={id} scene={scene} steps={steps} chosenKey={chosen?.key ?? null} />
      </div>
    </main>
  );
}
