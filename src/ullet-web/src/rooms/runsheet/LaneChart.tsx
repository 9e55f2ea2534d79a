import { useEffect, useRef } from "react";
import type { Lane, OrderedStep } from "../../api/client";
import { useView } from "../../state/view";

interface Props {
  /** Layers, the topmost first. */
  lanes: Lane[];
  steps: OrderedStep[];
  chosenKey: string | null;
}

const ROW = 30;
const HEAD = 34;
const LABEL = 148;
const LEAST_COLUMN = 24;

/** Layers against time: each stitch step is a stroke through exactly the lanes that its needle pierces. */
export function LaneChart({ lanes, steps, chosenKey }: Props) {
  const pointAt = useView((view) => view.pointAt);
  const scroller = useRef<HTMLDivElement>(null);
  const column = Math.max(LEAST_COLUMN, Math.min(46, 690 / steps.length));
  const width = LABEL + column * steps.length + 8;
  const height = HEAD + ROW * lanes.length + 8;
  const chosen = steps.findIndex((step) => step.key === chosenKey);
  const x = (number: number) => LABEL + (number - 1) * column;

  useEffect(() => {
    const box = scroller.current;
    if (!box || chosen < 0) return;
    const [left, right] = [LABEL + chosen * column, LABEL + (chosen + 1) * column];
    if (right > box.scrollLeft + box.clientWidth) box.scrollLeft = right - box.clientWidth + column;
    if (left - LABEL < box.scrollLeft) box.scrollLeft = left - LABEL;
  }, [chosen, column]);

  return (
    <section
      aria-label="Lanes"
      ref={scroller}
      tabIndex={0}
      className="min-h-[190px] flex-1 overflow-auto border-b border-line bg-white"
    >
      <svg width={width} height={height} role="img" aria-label={summary(lanes, steps)} className="block">
        {steps.map((step, i) => (
          <g
            key={step.key}
            onClick={() => pointAt(step.key)}
            className="cursor-pointer"
            data-chosen={i === chosen || undefined}
          >
            <title>{`${i + 1}. ${step.ownerName}, ${step.role}`}</title>
            <rect
              x={x(i + 1)}
              y={0}
              width={column}
              height={height}
              fill={
                i === chosen
                  ? "var(--color-indigo-pale)"
                  : step.kind === "hand"
                    ? "var(--color-marigold-pale)"
                    : "transparent"
              }
            />
            <rect
              x={x(i + 1) + 2}
              y={5}
              width={column - 4}
              height={HEAD - 12}
              rx={4}
              fill={
                step.order.broken.length
                  ? "var(--color-madder)"
                  : step.kind === "hand"
                    ? "var(--color-marigold)"
                    : "transparent"
              }
              stroke={i === chosen ? "var(--color-indigo)" : "transparent"}
              strokeWidth={2}
            />
            <text
              x={x(i + 1) + column / 2}
              y={HEAD - 13}
              textAnchor="middle"
              fontSize={12.5}
              fontWeight={i === chosen ? 700 : 500}
              fill={step.order.broken.length ? "#fff" : "var(--color-ink)"}
            >
              {i + 1}
            </text>
          </g>
        ))}
        {lanes.map((lane, row) => (
          <LaneBar
            key={lane.layerId}
            lane={lane}
            top={HEAD + row * ROW}
            x={x}
            column={column}
            count={steps.length}
          />
        ))}
        {steps.map((step, i) => (
          <Stroke key={step.key} step={step} centre={x(i + 1) + column / 2} />
        ))}
        {lanes.map((lane, row) => (
          <LaneLabel key={lane.layerId} lane={lane} top={HEAD + row * ROW} />
        ))}
      </svg>
    </section>
  );
}

interface BarProps {
  lane: Lane;
  top: number;
  x: (number: number) => number;
  column: number;
  count: number;
}

/** A layer from where hands lay it to where it is taken away; a notch where it is folded or trimmed. */
function LaneBar({ lane, top, x, column, count }: BarProps) {
  const [from, until] = [x(lane.from) + column / 2, lane.until > count ? x(count + 1) + 4 : x(lane.until)];
  return (
    <g pointerEvents="none">
      <rect
        x={from}
        y={top + 6}
        width={Math.max(4, until - from)}
        height={ROW - 12}
        rx={5}
        fill={lane.colour}
        stroke="rgb(29 42 58 / 0.4)"
        strokeDasharray={lane.isBehind ? "4 3" : undefined}
      />
      {lane.changes.map((number) => (
        <path
          key={number}
          d={`M${x(number) + column / 2 - 6} ${top + 5}h12l-6 8Z`}
          fill="var(--color-marigold)"
          stroke="rgb(29 42 58 / 0.6)"
          strokeWidth={0.8}
        />
      ))}
    </g>
  );
}

function LaneLabel({ lane, top }: { lane: Lane; top: number }) {
  return (
    <g pointerEvents="none">
      <rect x={0} y={top} width={LABEL - 2} height={ROW} fill="#fff" />
      <rect
        x={10}
        y={top + 9}
        width={12}
        height={12}
        rx={3}
        fill={lane.colour}
        stroke="rgb(29 42 58 / 0.4)"
      />
      <text x={28} y={top + ROW / 2 + 4.5} fontSize={13.5} fill="var(--color-ink)">
        {lane.name.length > 15 ? `${lane.name.slice(0, 14)}…` : lane.name}
        <title>{`${lane.name}, ${lane.clothName}${lane.isBehind ? ", behind" : ""}`}</title>
      </text>
      {lane.isBehind ? (
        <text x={LABEL - 8} y={top + ROW / 2 + 4} fontSize={12} textAnchor="end" fill="var(--color-muted)">
          behind
        </text>
      ) : null}
    </g>
  );
}

/** A stitch step through the lanes that it pierces, and through no other. */
function Stroke({ step, centre }: { step: OrderedStep; centre: number }) {
  if (step.kind !== "stitch") return null;
  return (
    <g pointerEvents="none">
      {step.order.pierced.map((row) => (
        <g key={row}>
          <rect
            x={centre - 4}
            y={HEAD + row * ROW + 1}
            width={8}
            height={ROW - 2}
            fill="#fff"
            fillOpacity={0.85}
          />
          <rect
            x={centre - 2.5}
            y={HEAD + row * ROW}
            width={5}
            height={ROW}
            fill={step.threadColour ?? "var(--color-ink)"}
            stroke="rgb(29 42 58 / 0.55)"
            strokeWidth={0.6}
          />
        </g>
      ))}
    </g>
  );
}

function summary(lanes: Lane[], steps: OrderedStep[]): string {
  const strokes = steps
    .filter((step) => step.kind === "stitch")
    .map((step) => {
      const through = step.order.pierced.map((row) => lanes[row]?.name).join(", ");
      return `step ${steps.indexOf(step) + 1}, ${step.ownerName} ${step.role}, goes through ${through || "nothing"}`;
    });
  return `${lanes.length} layers over ${steps.length} steps: ${strokes.join("; ")}`;
}
