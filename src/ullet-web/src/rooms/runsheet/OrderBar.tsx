import { Hand, ListRestart, Wrench } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../api/edits";
import type { OrderedStep, Scene } from "../../api/client";
import { Button } from "../../parts/Button";
import { duration } from "../../state/lengths";
import { useWhenAsked } from "../../verbs/asks";
import { HandStepPanel } from "./HandStepPanel";

interface Props {
  projectId: string;
  scene: Scene;
  steps: OrderedStep[];
  /** A new hand step follows this one. */
  after: OrderedStep | undefined;
}

/** How the order stands, and what can be done about it as a whole. */
export function OrderBar({ projectId, scene, steps, after }: Props) {
  const edits = useEdits(projectId);
  const [adding, setAdding] = useState(false);
  useWhenAsked("handStep", () => setAdding(true));
  const { runSheet } = scene;
  return (
    <div className="flex items-center gap-3 border-b border-line bg-white px-4 py-2">
      <h1 className="font-head text-[19px] font-semibold">Run sheet</h1>
      <p className="text-[14px] text-muted">
        {steps.length} steps · {scene.stopCount} {scene.stopCount === 1 ? "stop" : "stops"} ·{" "}
        {scene.stitchCount.toLocaleString("en-GB")} stitches · about {duration(scene.seconds)}
      </p>
      <p
        className="rounded-[6px] border border-line px-2 py-0.5 text-[13px] data-[standing=broken]:border-madder data-[standing=broken]:bg-madder-pale data-[standing=broken]:font-semibold"
        data-standing={runSheet.isBroken ? "broken" : "legal"}
        role="status"
      >
        {standing(runSheet)}
      </p>
      <div className="ml-auto flex gap-2">
        {runSheet.isBroken || runSheet.release.length ? (
          <Button look="main" onClick={() => edits.edit({ edit: "putRight" })}>
            <Wrench size={16} aria-hidden />
            Put it right
          </Button>
        ) : null}
        {runSheet.isUsersOwn ? (
          <Button onClick={() => edits.edit({ edit: "planOrder" })}>
            <ListRestart size={16} aria-hidden />
            Let Ullet order
          </Button>
        ) : null}
        <Button onClick={() => setAdding(true)}>
          <Hand size={16} aria-hidden />
          Add a hand step
        </Button>
      </div>
      {adding ? (
        <HandStepPanel projectId={projectId} scene={scene} after={after} onClose={() => setAdding(false)} />
      ) : null}
    </div>
  );
}

function standing(runSheet: Scene["runSheet"]): string {
  if (runSheet.release.length) return "The steps you hold leave no order that works";
  if (runSheet.isBroken) return "This order does not work";
  if (runSheet.isUsersOwn)
    return `Your own order, and it works${runSheet.isProvenBest ? ": no better one exists" : ""}`;
  return runSheet.isProvenBest ? "Ullet’s order: no better one exists" : "Ullet’s order: a good one";
}
