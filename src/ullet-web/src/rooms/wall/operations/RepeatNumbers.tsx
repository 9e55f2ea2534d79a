import type { GivenOperation } from "../../../api/client";
import { NumberField } from "../../../parts/fields/NumberField";
import { Tick } from "../../../parts/fields/Tick";
import { LineChoice, Pair } from "./numberParts";
import type { NumbersOf } from "./numbers";

type InLine = Extract<GivenOperation, { operation: "repeatInLine" }>;
type Round = Extract<GivenOperation, { operation: "repeatRound" }>;

export function InLineNumbers({ scene, element, operation, length, onChanged }: NumbersOf<InLine>) {
  return (
    <>
      <Pair>
        <Copies value={operation.count} onTyped={(count) => onChanged({ ...operation, count })} />
        <LineChoice
          label="Along"
          scene={scene}
          elementId={element.id}
          lineId={operation.lineId}
          onChosen={(lineId) => onChanged({ ...operation, lineId })}
        />
      </Pair>
      {operation.lineId ? (
        <Tick
          label="Turn with the line"
          checked={operation.turnsAlong}
          onChanged={(turnsAlong) => onChanged({ ...operation, turnsAlong })}
        />
      ) : (
        <Pair>
          {length("Step across", operation.stepX, (stepX) => ({ ...operation, stepX }))}
          {length("Step down", operation.stepY, (stepY) => ({ ...operation, stepY }))}
        </Pair>
      )}
    </>
  );
}

export function RoundNumbers({ operation, length, onChanged }: NumbersOf<Round>) {
  return (
    <>
      <Pair>
        <Copies value={operation.count} onTyped={(count) => onChanged({ ...operation, count })} />
        <NumberField
          label="Over"
          value={operation.sweep}
          digits={0}
          unit="°"
          onTyped={(sweep) => onChanged({ ...operation, sweep })}
        />
        {length("Centre, right", operation.centreX, (centreX) => ({ ...operation, centreX }))}
        {length("Centre, down", operation.centreY, (centreY) => ({ ...operation, centreY }))}
      </Pair>
      <Tick
        label="Turn with the ring"
        checked={operation.turns}
        onChanged={(turns) => onChanged({ ...operation, turns })}
      />
    </>
  );
}

function Copies({ value, onTyped }: { value: number; onTyped: (count: number) => void }) {
  return (
    <NumberField label="Copies" value={value} digits={0} onTyped={(count) => onTyped(Math.round(count))} />
  );
}
