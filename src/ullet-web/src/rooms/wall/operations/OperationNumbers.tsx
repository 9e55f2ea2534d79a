import type { GivenOperation, Operation } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import { NumberField } from "../../../parts/fields/NumberField";
import type { ElementProps } from "../card/elementProps";
import { InLineNumbers, RoundNumbers } from "./RepeatNumbers";
import { SplitNumbers } from "./SplitNumbers";
import { UsedElements } from "./UsedElements";
import { Corners, Pair } from "./numberParts";

interface Props extends ElementProps {
  operation: GivenOperation;
  onChanged: (next: Operation) => void;
}

const SIDES = [
  { value: "all", label: "all" },
  { value: "outer", label: "outer" },
  { value: "inner", label: "inner" },
];

/** The numbers and sources of one operation. */
export function OperationNumbers({ operation, ...props }: Props) {
  const { onChanged } = props;
  const length = (label: string, value: number, set: (mm: number) => Operation) => (
    <LengthField label={label} value={value} unit={props.scene.unit} onTyped={(mm) => onChanged(set(mm))} />
  );

  switch (operation.operation) {
    case "carve":
      return (
        <>
          <UsedElements {...props} operation={operation} />
          <Pair>
            {length("Reveal", operation.reveal, (reveal) => ({ ...operation, reveal }))}
            <Corners value={operation.corners} onChosen={(corners) => onChanged({ ...operation, corners })} />
          </Pair>
        </>
      );
    case "cutBeneath":
      return (
        <>
          <UsedElements {...props} operation={operation} />
          <Pair>
            {length("Goes on under them", operation.margin, (margin) => ({ ...operation, margin }))}
          </Pair>
        </>
      );
    case "join":
    case "keepOverlap":
      return <UsedElements {...props} operation={operation} />;
    case "moveEdge":
      return (
        <Pair>
          {length("Out (or −in)", operation.distance, (distance) => ({ ...operation, distance }))}
          <Corners value={operation.corners} onChosen={(corners) => onChanged({ ...operation, corners })} />
        </Pair>
      );
    case "roundCorners":
      return (
        <Pair>
          {length("Radius", operation.radius, (radius) => ({ ...operation, radius }))}
          <Choice
            label="Which corners"
            value={operation.side}
            options={SIDES}
            onChosen={(side) =>
              onChanged({ ...operation, side: side === "outer" || side === "inner" ? side : "all" })
            }
          />
        </Pair>
      );
    case "repeatInLine":
      return <InLineNumbers {...props} operation={operation} length={length} />;
    case "repeatRound":
      return <RoundNumbers {...props} operation={operation} length={length} />;
    case "mirror":
      return (
        <Pair>
          {length("Axis, right", operation.distance, (distance) => ({ ...operation, distance }))}
          <NumberField
            label="Axis turn"
            value={operation.angle}
            unit="°"
            onTyped={(angle) => onChanged({ ...operation, angle })}
          />
        </Pair>
      );
    case "split":
      return <SplitNumbers {...props} operation={operation} length={length} />;
    case "clearCrumbs":
      return (
        <Pair>
          <NumberField
            label="Under"
            value={operation.leastArea}
            unit="mm²"
            onTyped={(leastArea) => onChanged({ ...operation, leastArea })}
          />
          {length("Or narrower than", operation.leastWidth, (leastWidth) => ({ ...operation, leastWidth }))}
        </Pair>
      );
    case "bridgeNecks":
      return <Pair>{length("To this width", operation.width, (width) => ({ ...operation, width }))}</Pair>;
    case "cutNecks":
      return <Pair>{length("Thinner than", operation.width, (width) => ({ ...operation, width }))}</Pair>;
  }
}
