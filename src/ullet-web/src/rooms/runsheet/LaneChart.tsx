import { useEffect, useRef } from "react";
import type { Lane, OrderedStep } from "../../api/client";
import { useView } from "../../state/view";

interface Props {
  /** Layers, the topmost first. */
  lanes: Lane[];
  steps: OrderedStep[];
  chosenKey: string | null;
}

const HEAD = 34;
const LABEL = 148;
const LEAST_COLUMN = 24;
/** Rows are as tall as fits so many pixels, within reason. */
const ROOM = 392;
const rowHeight = (lanes: number) => Math.round(Math.max(28, Math.min(46, ROOM / Math.max(1, lanes))));

/** Layers against time: each stitch step is a stroke through exactly the lanes that its needle pierces. */
export function LaneChart({ lanes, steps, chosenKey }: Props) {
  const pointAt = useView((view) => view.pointAt);
  const scroller = useRef<HTMLDivElement>(null);
  const row = rowHeight(lanes.length);
  const column = Math.max(LEAST_COLUMN, Math.min(46, 690 / steps.length));
  const width = LABEL + column * steps.length + 8;
  const height = HEAD + row * lanes.length + 8;
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
        {lanes.map((lane, i) => (
          <LaneBar
            key={lane.layerId}
            lane={lane}
            top={HEAD + i * row}
            row={row}
            x={x}
            column={column}
            count={steps.length}
          />
        ))}
        {steps.map((step, i) => (
          <Stroke key={step.key} step={step} centre={x(i + 1) + column / 2} row={row} />
        ))}
        {lanes.map((lane, i) => (
          <LaneLabel key={lane.layerId} lane={lane} top={HEAD + i * row} row={row} />
        ))}
      </svg>
    </section>
  );
}

interface BarProps {
  lane: Lane;
  top: number;
  row: number;
  x: (number: number) => number;
  column: number;
  count: number;
}

/** A layer from where hands lay it to where it is taken away; a notch where it is folded or trimmed. */
function LaneBar({ lane, top, row, x, column, count }: BarProps) {
  const [from, until] = [x(lane.from) + column / 2, lane.until > count ? x(count + 1) + 4 : x(lane.until)];
  return (
    <g pointerEvents="none">
      <rect
        x={from}
        y={top + row * 0.2}
        width={Math.max(4, until - from)}
        height={row * 0.6}
        rx={5}
        fill={lane.colour}
        stroke="rgb(29 42 58 / 0.4)"
        strokeDasharray={lane.isBehind ? "4 3" : undefined}
      />
      {lane.changes.map((number) => (
        <path
          key={number}
          d={`M${x(number) + column / 2 - 6} ${top + row * 0.2 - 1}h12l-6 8Z`}
          fill="var(--color-marigold)"
          stroke="rgb(29 42 58 / 0.6)"
          strokeWidth={0.8}
        />
      ))}
    </g>
  );
}

function LaneLabel({ lane, top, row }: { lane: Lane; top: number; row: number }) {
  return (
    <g pointerEvents="none">
      <rect x={0} y={top} width={LABEL - 2} height={row} fill="#fff" />
      <rect
        x={10}
        y={top + row / 2 - 6}
        width={12}
        height={12}
        rx={3}
        fill={lane.colour}
        stroke="rgb(29 42 58 / 0.4)"
      />
      <text x={28} y={top + row / 2 + 4.5} fontSize={13.5} fill="var(--color-ink)">
        {lane.name.length > 15 ? `${lane.name.slice(0, 14)}…` : lane.name}
        <title>{`${lane.name}, ${lane.clothName}${lane.isBehind ? ", behind" : ""}`}</title>
      </text>
      {lane.isBehind ? (
        <text x={LABEL - 8} y={top + row / 2 + 4} fontSize={12} textAnchor="end" fill="var(--color-muted)">
          behind
        </text>
      ) : null}
    </g>
  );
}

/** A stitch step through the lanes that it pierces, and through no other. */
function Stroke({ step, centre, row }: { step: OrderedStep; centre: number; row: number }) {
  if (step.kind !== "stitch") return null;
  return (
    <g pointerEvents="none">
      {step.order.pierced.map((lane) => (
        <g key={lane}>
          <rect
            x={centre - 4}
            y={HEAD + lane * row + 1}
            width={8}
            height={row - 2}
            fill="#fff"
            fillOpacity={0.85}
          />
          <rect
            x={centre - 2.5}
            y={HEAD + lane * row}
            width={5}
            height={row}
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
      const through = step.order.pierced.map((lane) => lanes[lane]?.name).join(", ");
      return `step ${steps.indexOf(step) + 1}, ${step.ownerName} ${step.role}, goes through ${through || "nothing"}`;
    });
  return `${lanes.length} layers over ${steps.length} steps: ${strokes.join("; ")}`;
}
