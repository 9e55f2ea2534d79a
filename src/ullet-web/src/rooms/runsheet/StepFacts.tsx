import { Lock, LockOpen, Pencil, Power, Trash2 } from "lucide-react";
import { useState } from "react";
import { Link } from "react-router";
import { useEdits } from "../../api/edits";
import type { OrderedStep, Scene } from "../../api/client";
import { Button, buttonClass } from "../../parts/Button";
import { MomentDrawing } from "../../parts/MomentDrawing";
import { StepText } from "../../parts/StepText";
import { duration } from "../../state/lengths";
import { useView } from "../../state/view";
import { HandStepPanel } from "./HandStepPanel";
import { SideView } from "./SideView";
import { StepPhoto } from "./StepPhoto";
import { TurningView } from "./TurningView";
import { Note } from "../../parts/Note";

interface Props {
  projectId: string;
  scene: Scene;
  steps: OrderedStep[];
  step: OrderedStep;
}

/** Everything about the chosen step, with the layers that lie in the hoop then. */
export function StepFacts({ projectId, scene, steps, step }: Props) {
  const edits = useEdits(projectId);
  const select = useView((view) => view.select);
  const [changing, setChanging] = useState(false);
  const number = steps.indexOf(step) + 1;
  const own = scene.runSheet.hands.find((hand) => hand.id === step.order.ownHandId);
  const isElement = scene.elements.some((element) => element.id === step.ownerId);
  return (
    <section
      aria-label={`Step ${number}`}
      className="flex max-h-[300px] shrink-0 gap-5 overflow-y-auto max-lg:flex-col max-lg:gap-2 bg-chalk px-5 py-3"
    >
      <div className="min-w-0 flex-1 space-y-2">
        <div className="flex items-baseline gap-2">
          <h2 className="font-head text-[18px] font-semibold">
            {number}. {step.ownerName}, {step.role}
          </h2>
          <p className="ml-auto text-[13px] whitespace-nowrap text-muted">about {duration(step.seconds)}</p>
        </div>
        {step.order.broken.map((reason) => (
          <Note key={reason} look="wrong">
            {reason}
          </Note>
        ))}
        <MomentDrawing
          projectId={projectId}
          head={scene.head}
          stepKey={step.key}
          width={460}
          height={210}
          className="float-right ml-4 w-[400px] max-lg:float-none max-lg:ml-0 max-lg:w-full"
        />
        <StepText
          step={step}
          threads={scene.threads}
          onNote={(note) => edits.edit({ edit: "noteStep", stepKey: step.key, note })}
        />
        <StepPhoto projectId={projectId} step={step} />
        {step.order.group ? (
          <p className="border-l-3 border-marigold pl-2 text-[14px]">
            One card at the machine. {step.order.group}
          </p>
        ) : null}
        {step.kind === "hand" ? (
          <p className="text-[14px] text-muted">
            {step.hoopOff ? "The hoop comes off the machine." : "The hoop stays on the machine."}
          </p>
        ) : null}
        <p className="text-[14px] text-muted">{placeWords(step)}</p>
        <div className="flex flex-wrap gap-2">
          <Button
            aria-pressed={step.order.isHeld}
            onClick={() => edits.edit({ edit: "holdStep", stepKey: step.key, isHeld: !step.order.isHeld })}
          >
            {step.order.isHeld ? <LockOpen size={15} aria-hidden /> : <Lock size={15} aria-hidden />}
            {step.order.isHeld ? "Let it go" : "Hold it here"}
          </Button>
          {step.order.mayBeOff ? (
            <Button onClick={() => edits.edit({ edit: "switchStep", stepKey: step.key, isOn: false })}>
              <Power size={15} aria-hidden />
              Switch it off
            </Button>
          ) : null}
          {own ? (
            <>
              <Button onClick={() => setChanging(true)}>
                <Pencil size={15} aria-hidden />
                Change it
              </Button>
              <Button look="trouble" onClick={() => edits.edit({ edit: "removeHandStep", id: own.id })}>
                <Trash2 size={15} aria-hidden />
                Delete it
              </Button>
            </>
          ) : null}
          {isElement ? (
            <Link
              className={buttonClass("plain")}
              to={`/p/${projectId}/wall`}
              onClick={() => select([step.ownerId])}
            >
              Show on the wall
            </Link>
          ) : null}
        </div>
      </div>
      {scene.runSheet.turning?.key === step.key ? (
        <TurningView turning={scene.runSheet.turning} />
      ) : (
        <SideView lanes={scene.runSheet.lanes} step={step} number={number} />
      )}
      {changing && own ? (
        <HandStepPanel
          projectId={projectId}
          scene={scene}
          after={step}
          hand={own}
          onClose={() => setChanging(false)}
        />
      ) : null}
    </section>
  );
}

function placeWords({ order }: OrderedStep): string {
  if (order.first > order.last) return "With the other steps as they are, no place here keeps every rule.";
  const range =
    order.first === order.last
      ? `It can stand only here, at ${order.first}.`
      : `It can stand anywhere from ${order.first} to ${order.last}.`;
  return order.isFree ? `${range} No step of another part ties it.` : range;
}
