import { GripVertical, Hand, Lock, Power } from "lucide-react";
import { useEffect, useRef, type KeyboardEvent } from "react";
import { useEdits } from "../../api/edits";
import type { OrderedStep, Scene } from "../../api/client";
import { Button } from "../../parts/Button";
import { ThreadSwatch } from "../../parts/Swatch";
import { useCarriedRow } from "../../parts/useCarriedRow";
import { duration } from "../../state/lengths";
import { useView } from "../../state/view";

interface Props {
  projectId: string;
  scene: Scene;
  steps: OrderedStep[];
  chosenKey: string | null;
}

/** The steps in order; rows are dragged, or moved with Alt and the arrow keys. */
export function StepList({ projectId, scene, steps, chosenKey }: Props) {
  const edits = useEdits(projectId);
  const pointAt = useView((view) => view.pointAt);
  const list = useRef<HTMLOListElement>(null);

  const move = (stepKey: string, to: number) => {
    if (to >= 0 && to < steps.length) void edits.edit({ edit: "moveStep", stepKey, to });
  };
  const carry = useCarriedRow((stepKey, onKey) =>
    move(
      stepKey,
      steps.findIndex((step) => step.key === onKey),
    ),
  );

  useEffect(() => {
    list.current?.querySelector("[data-chosen]")?.scrollIntoView({ block: "nearest" });
  }, [chosenKey, steps]);

  const onKey = (event: KeyboardEvent, i: number) => {
    const by = event.key === "ArrowUp" ? -1 : event.key === "ArrowDown" ? 1 : 0;
    if (by === 0) return;
    event.preventDefault();
    event.stopPropagation();
    const step = steps[i];
    if (event.altKey) {
      if (step) move(step.key, i + by);
      return;
    }
    const next = steps[i + by];
    if (!next) return;
    pointAt(next.key);
    list.current?.querySelectorAll<HTMLElement>("[data-step-button]")[i + by]?.focus();
  };

  return (
    <section
      aria-label="Steps"
      className="flex w-[384px] shrink-0 flex-col border-l max-lg:w-[250px] border-line bg-white"
    >
      <div className="flex items-baseline gap-2 px-4 py-2">
        <h2 className="font-semibold">Steps</h2>
        <p className="ml-auto text-[13px] text-muted">drag, or Alt + ↑ ↓</p>
      </div>
      <ol ref={list} className="relative min-h-0 flex-1 overflow-y-auto border-t border-line">
        {steps.map((step, i) => (
          <li
            key={step.key}
            data-row={step.key}
            data-chosen={step.key === chosenKey || undefined}
            data-broken={step.order.broken.length > 0 || undefined}
            data-carried={carry.carried === step.key || undefined}
            data-over={(carry.over === step.key && carry.carried !== step.key) || undefined}
            onPointerDown={(event) => carry.down(event, step.key)}
            onPointerMove={carry.move}
            onPointerUp={carry.up}
            onPointerCancel={carry.cancel}
            className="touch-none border-b border-l-3 border-b-line border-l-transparent select-none data-[broken]:bg-madder-pale data-[carried]:opacity-50 data-[chosen]:border-l-indigo data-[chosen]:bg-indigo-pale data-[over]:border-t-2 data-[over]:border-t-marigold"
          >
            <button
              type="button"
              data-step-button
              aria-pressed={step.key === chosenKey}
              className="flex w-full items-center gap-2 py-1.5 pr-3 pl-1 text-left"
              onClick={() => pointAt(step.key)}
              onKeyDown={(event) => onKey(event, i)}
            >
              <GripVertical size={15} className="shrink-0 text-field" aria-hidden />
              <span className="w-6 shrink-0 text-right text-[13px] text-muted">
                <span className="sr-only">Step </span>
                {i + 1}
              </span>
              <Mark step={step} />
              <span className="min-w-0 flex-1">
                <span className="block truncate">
                  {step.ownerName}, {step.role}
                </span>
              </span>
              {step.stopAfter ? <span className="sr-only">then a stop for hands</span> : null}
              {step.order.broken.length ? <span className="sr-only">can’t stand here</span> : null}
              {step.order.isHeld ? (
                <Lock size={13} role="img" aria-label="held" className="text-muted" />
              ) : null}
              <span className="shrink-0 text-[13px] text-muted">
                {step.kind === "stitch"
                  ? `${step.stitchCount.toLocaleString("en-GB")} st`
                  : duration(step.seconds)}
              </span>
            </button>
            {step.order.told.map((reason) => (
              <p key={reason} className="px-4 pb-1.5 text-[13.5px] text-madder">
                {reason}
              </p>
            ))}
          </li>
        ))}
      </ol>
      {scene.runSheet.off.length ? (
        <div className="max-h-[120px] overflow-y-auto border-t border-line px-4 py-2">
          <h3 className="text-[13px] font-semibold">Switched off: listed, not done</h3>
          <ul>
            {scene.runSheet.off.map((off) => (
              <li key={off.key} className="flex items-center gap-2 py-0.5 text-[14px] text-muted">
                <span className="min-w-0 truncate">{off.name}</span>
                <Button
                  className="ml-auto"
                  onClick={() => edits.edit({ edit: "switchStep", stepKey: off.key, isOn: true })}
                >
                  <Power size={14} aria-hidden />
                  Switch on
                </Button>
              </li>
            ))}
          </ul>
        </div>
      ) : null}
    </section>
  );
}

function Mark({ step }: { step: OrderedStep }) {
  return step.kind === "hand" ? (
    <span className="flex size-[18px] shrink-0 items-center justify-center rounded-[5px] bg-marigold">
      <Hand size={12} className="text-ink" aria-hidden />
    </span>
  ) : (
    <ThreadSwatch colour={step.threadColour ?? "#ffffff"} />
  );
}
