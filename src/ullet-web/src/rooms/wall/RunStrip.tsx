import { Hand } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../api/edits";
import type { Scene, Step } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { Segments } from "../../parts/fields/Segments";
import { StepText } from "../../parts/StepText";
import { duration } from "../../state/lengths";
import { useView } from "../../state/view";

interface Props {
  projectId: string;
  scene: Scene;
}

const ORDERS = [
  { order: "oneByOne", name: "One by one" },
  { order: "together", name: "Together" },
] as const;

/** Every step as a bar as wide as its time, hand steps as raised tabs. */
export function RunStrip({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const { selection, stepKey, pointAt, select } = useView();
  const [hooping, setHooping] = useState("");

  const show = (step: Step) => {
    if (step.key === stepKey) {
      pointAt(null);
      return;
    }
    select(scene.elements.some((element) => element.id === step.ownerId) ? [step.ownerId] : []);
    pointAt(step.key);
  };

  const { stops } = scene;
  const guide = scene.guides.find((known) => known.id === hooping);
  const steps = guide?.steps ?? scene.steps;
  const pointed = steps.find((step) => step.key === stepKey);
  const { stitchCount, stopCount, seconds } = guide ?? scene;
  return (
    <section
      aria-label="Run strip"
      className="relative shrink-0 border-t border-line bg-white px-3 pt-1 pb-2"
    >
      {pointed ? <StepNote projectId={projectId} scene={scene} step={pointed} /> : null}
      <div className="flex items-baseline gap-3 pb-1">
        <h2 className="text-[14px] font-semibold">Run strip</h2>
        <p className="text-[13px] text-muted">
          {stitchCount.toLocaleString("en-GB")} stitches · {stopCount} {stopCount === 1 ? "stop" : "stops"} ·
          about {duration(seconds)}
        </p>
        {scene.guides.length ? (
          <Choice
            label="Hooping"
            labelHidden
            className="w-[200px]"
            value={guide?.id ?? ""}
            options={[
              { value: "", label: scene.hooping.name },
              ...scene.guides.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChosen={setHooping}
          />
        ) : null}
        {guide || !stops ? null : (
          <Segments
            label="Order of the pieces"
            value={scene.order}
            options={ORDERS.map(({ order, name }) => ({
              value: order,
              label: `${name}, ${stops[order]} ${stops[order] === 1 ? "stop" : "stops"}`,
            }))}
            className="flex gap-1"
            itemClassName="px-2 text-[13px]"
            onChosen={(order) => edits.edit({ edit: "setOrder", order })}
          />
        )}
        <p className="ml-auto flex items-center gap-1 text-[13px] text-muted">
          <span aria-hidden className="inline-block size-2.5 rounded-[2px] bg-marigold" /> hands
        </p>
      </div>
      <ol className="flex h-[42px] items-end gap-[3px] overflow-x-auto pt-0.5">
        {steps.map((step, i) => {
          const lit = selection.includes(step.ownerId) || step.key === stepKey;
          const dim = (selection.length > 0 || stepKey !== null) && !lit;
          return (
            <li
              key={step.key}
              className="min-w-[9px]"
              style={{ flexGrow: Math.max(step.seconds, 8), flexBasis: 0 }}
            >
              <button
                type="button"
                aria-label={stepLabel(step, i)}
                aria-pressed={step.key === stepKey}
                title={stepLabel(step, i)}
                data-kind={step.kind}
                data-dim={dim || undefined}
                onClick={() => show(step)}
                className="flex h-[26px] w-full items-center justify-center overflow-hidden rounded-[4px] border border-ink/25 data-[dim]:opacity-35 data-[kind=hand]:h-[38px] data-[kind=hand]:border-[#a86b00] data-[kind=hand]:bg-marigold aria-pressed:outline-2 aria-pressed:outline-offset-1 aria-pressed:outline-indigo"
                style={
                  step.kind === "stitch" ? { backgroundColor: step.threadColour ?? undefined } : undefined
                }
              >
                {step.kind === "hand" && step.seconds > 40 ? (
                  <Hand size={13} className="text-ink" aria-hidden />
                ) : null}
              </button>
            </li>
          );
        })}
      </ol>
    </section>
  );
}

function StepNote({ projectId, scene, step }: Props & { step: Step }) {
  const edits = useEdits(projectId);
  const { pointAt } = useView();
  return (
    <div className="absolute bottom-full left-3 z-20 mb-2 w-[440px] space-y-2 rounded-card border border-line bg-white p-3 shadow-lg">
      <div className="flex items-baseline gap-2">
        <p className="font-semibold">
          {step.ownerName}, {step.role}
        </p>
        <p className="ml-auto text-[13px] text-muted">{duration(step.seconds)}</p>
      </div>
      <StepText
        step={step}
        threads={scene.threads}
        onNote={(note) => edits.edit({ edit: "noteStep", stepKey: step.key, note })}
      />
      <Button onClick={() => pointAt(null)}>Close</Button>
    </div>
  );
}

function stepLabel(step: Step, i: number): string {
  const what = step.kind === "hand" ? "hands" : "stitches";
  return `Step ${i + 1}, ${what}: ${step.ownerName}, ${step.role}, ${duration(step.seconds)}`;
}
