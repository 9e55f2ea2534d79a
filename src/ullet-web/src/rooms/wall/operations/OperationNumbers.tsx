import { useState } from "react";
import type { Operation } from "../../../api/client";
import { Choice } from "../../../parts/Choice";
import { LengthField } from "../../../parts/LengthField";
import { NumberField } from "../../../parts/NumberField";
import type { ElementProps } from "../elementProps";
import { SourceList } from "./SourceList";

interface Props extends ElementProps {
  operation: Operation;
  onChanged: (next: Operation) => void;
}

const CORNERS = [
  { value: "round", label: "round" },
  { value: "sharp", label: "sharp" },
];

const SIDES = [
  { value: "all", label: "all" },
  { value: "outer", label: "outer" },
  { value: "inner", label: "inner" },
];

/** The numbers and sources of one operation. */
export function OperationNumbers({ scene, element, operation, onChanged }: Props) {
  const { unit } = scene;
  const length = (label: string, value: number, set: (mm: number) => Operation) => (
    <LengthField label={label} value={value} unit={unit} onTyped={(mm) => onChanged(set(mm))} />
  );
  const lines = [
    { value: "", label: "a straight line" },
    ...scene.elements
      .filter((other) => other.kind === "line" && other.id !== element.id)
      .map((other) => ({ value: other.id, label: other.name })),
  ];

  switch (operation.operation) {
    case "carve":
      return (
        <>
          <Sources scene={scene} element={element} operation={operation} onChanged={onChanged} />
          <Pair>
            {length("Reveal", operation.reveal ?? 2, (reveal) => ({ ...operation, reveal }))}
            <Choice
              label="Corners"
              value={operation.corners ?? "round"}
              options={CORNERS}
              onChosen={(corners) =>
                onChanged({ ...operation, corners: corners === "sharp" ? "sharp" : "round" })
              }
            />
          </Pair>
        </>
      );
    case "join":
    case "keepOverlap":
      return <Sources scene={scene} element={element} operation={operation} onChanged={onChanged} />;
    case "moveEdge":
      return (
        <Pair>
          {length("Out (or −in)", operation.distance ?? 3, (distance) => ({ ...operation, distance }))}
          <Choice
            label="Corners"
            value={operation.corners ?? "round"}
            options={CORNERS}
            onChosen={(corners) =>
              onChanged({ ...operation, corners: corners === "sharp" ? "sharp" : "round" })
            }
          />
        </Pair>
      );
    case "roundCorners":
      return (
        <Pair>
          {length("Radius", operation.radius ?? 5, (radius) => ({ ...operation, radius }))}
          <Choice
            label="Which corners"
            value={operation.side ?? "all"}
            options={SIDES}
            onChosen={(side) =>
              onChanged({
                ...operation,
                side: side === "outer" ? "outer" : side === "inner" ? "inner" : "all",
              })
            }
          />
        </Pair>
      );
    case "repeatInLine":
      return (
        <>
          <Pair>
            <Copies value={operation.count ?? 3} onTyped={(count) => onChanged({ ...operation, count })} />
            <Choice
              label="Along"
              value={operation.lineId ?? ""}
              options={lines}
              onChosen={(lineId) => onChanged({ ...operation, lineId: lineId || null })}
            />
          </Pair>
          {operation.lineId ? (
            <Tick
              label="Turn with the line"
              checked={operation.turnsAlong ?? false}
              onChanged={(turnsAlong) => onChanged({ ...operation, turnsAlong })}
            />
          ) : (
            <Pair>
              {length("Step across", operation.stepX ?? 40, (stepX) => ({ ...operation, stepX }))}
              {length("Step down", operation.stepY ?? 0, (stepY) => ({ ...operation, stepY }))}
            </Pair>
          )}
        </>
      );
    case "repeatRound":
      return (
        <>
          <Pair>
            <Copies value={operation.count ?? 6} onTyped={(count) => onChanged({ ...operation, count })} />
            <NumberField
              label="Over"
              value={operation.sweep ?? 360}
              digits={0}
              unit="°"
              onTyped={(sweep) => onChanged({ ...operation, sweep })}
            />
            {length("Centre, right", operation.centreX ?? 0, (centreX) => ({ ...operation, centreX }))}
            {length("Centre, down", operation.centreY ?? 30, (centreY) => ({ ...operation, centreY }))}
          </Pair>
          <Tick
            label="Turn with the ring"
            checked={operation.turns ?? true}
            onChanged={(turns) => onChanged({ ...operation, turns })}
          />
        </>
      );
    case "mirror":
      return (
        <Pair>
          {length("Axis, right", operation.distance ?? 20, (distance) => ({ ...operation, distance }))}
          <NumberField
            label="Axis turn"
            value={operation.angle ?? 0}
            unit="°"
            onTyped={(angle) => onChanged({ ...operation, angle })}
          />
        </Pair>
      );
    case "split":
      return (
        <>
          <Pair>
            <Choice
              label="By"
              value={operation.lineId ?? ""}
              options={lines}
              onChosen={(lineId) => onChanged({ ...operation, lineId: lineId || null })}
            />
            <Choice
              label="Covers the edge"
              value={operation.leftCovers === false ? "right" : "left"}
              options={[
                { value: "left", label: "left side" },
                { value: "right", label: "right side" },
              ]}
              onChosen={(side) => onChanged({ ...operation, leftCovers: side === "left" })}
            />
            {operation.lineId ? null : (
              <>
                {length("Line, right", operation.distance ?? 0, (distance) => ({ ...operation, distance }))}
                <NumberField
                  label="Line turn"
                  value={operation.angle ?? 0}
                  unit="°"
                  onTyped={(angle) => onChanged({ ...operation, angle })}
                />
              </>
            )}
          </Pair>
          <Choice
            label="Cloth of the right side"
            value={operation.rightClothId ?? ""}
            options={[
              { value: "", label: "the same" },
              ...scene.cloths
                .filter((cloth) => cloth.kind !== "stabiliser")
                .map((cloth) => ({ value: cloth.id, label: cloth.name })),
            ]}
            onChosen={(cloth) => onChanged({ ...operation, rightClothId: cloth || null })}
          />
        </>
      );
    case "clearCrumbs":
      return (
        <Pair>
          <NumberField
            label="Under"
            value={operation.leastArea ?? 20}
            unit="mm²"
            onTyped={(leastArea) => onChanged({ ...operation, leastArea })}
          />
          {length("Or narrower than", operation.leastWidth ?? 2, (leastWidth) => ({
            ...operation,
            leastWidth,
          }))}
        </Pair>
      );
    case "bridgeNecks":
      return (
        <Pair>{length("To this width", operation.width ?? 2, (width) => ({ ...operation, width }))}</Pair>
      );
    case "cutNecks":
      return (
        <Pair>{length("Thinner than", operation.width ?? 2, (width) => ({ ...operation, width }))}</Pair>
      );
  }
}

function Pair({ children }: { children: React.ReactNode }) {
  return <div className="mt-1 grid grid-cols-2 gap-1.5">{children}</div>;
}

function Copies({ value, onTyped }: { value: number; onTyped: (count: number) => void }) {
  return (
    <NumberField label="Copies" value={value} digits={0} onTyped={(count) => onTyped(Math.round(count))} />
  );
}

interface TickProps {
  label: string;
  checked: boolean;
  onChanged: (checked: boolean) => void;
}

function Tick({ label, checked, onChanged }: TickProps) {
  return (
    <label className="mt-1.5 flex items-center gap-2 text-[14px]">
      <input
        type="checkbox"
        className="size-4 accent-indigo"
        checked={checked}
        onChange={(event) => onChanged(event.target.checked)}
      />
      {label}
    </label>
  );
}

type Sourced = Extract<Operation, { sourceIds: string[] }>;

interface SourcesProps {
  scene: Props["scene"];
  element: Props["element"];
  operation: Sourced;
  onChanged: (next: Operation) => void;
}

/** The elements it uses, by name, and the way to choose others. */
function Sources({ scene, element, operation, onChanged }: SourcesProps) {
  const [asked, setAsked] = useState(false);
  const names = operation.sourceIds.map((id) => scene.elements.find((each) => each.id === id)?.name ?? id);
  if (asked)
    return (
      <SourceList
        title="Use …"
        action="Take these"
        others={scene.elements.filter((other) => other.id !== element.id)}
        chosen={operation.sourceIds}
        onChosen={(sourceIds) => {
          setAsked(false);
          onChanged({ ...operation, sourceIds });
        }}
        onCancel={() => setAsked(false)}
      />
    );
  return (
    <p className="flex items-baseline gap-2 text-[14px]">
      <span className="min-w-0 truncate">{names.join(", ")}</span>
      <button
        type="button"
        className="ml-auto shrink-0 rounded-[6px] px-1.5 text-[13px] text-indigo underline-offset-2 hover:underline"
        onClick={() => setAsked(true)}
      >
        Choose others
      </button>
    </p>
  );
}
