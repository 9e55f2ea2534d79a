import type { Place } from "./camera";

/** An upright box, mm. */
export interface Rect {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A line that shows what a drag has caught, with a distance where there is one, mm. */
export interface Guide {
  from: Place;
  to: Place;
  distance?: number;
}

interface Catch {
  by: number;
  guides: (moved: Rect) => Guide[];
}

/** How far a moved box goes on to be caught by its neighbours' lines or by equal gaps, and the lines to show. */
export function caught(moving: Rect, others: Rect[], field: Rect, reach: number) {
  const across = nearest([...edges(moving, [...others, field], "x"), ...gaps(moving, others, "x")], reach);
  const down = nearest([...edges(moving, [...others, field], "y"), ...gaps(moving, others, "y")], reach);
  const moved = { ...moving, x: moving.x + (across?.by ?? 0), y: moving.y + (down?.by ?? 0) };
  return {
    dx: across?.by ?? 0,
    dy: down?.by ?? 0,
    guides: [...(across?.guides(moved) ?? []), ...(down?.guides(moved) ?? [])],
  };
}

type Axis = "x" | "y";

const size = (rect: Rect, axis: Axis) => (axis === "x" ? rect.width : rect.height);
const low = (rect: Rect, axis: Axis) => rect[axis];
const high = (rect: Rect, axis: Axis) => rect[axis] + size(rect, axis);
const other = (axis: Axis): Axis => (axis === "x" ? "y" : "x");
const place = (axis: Axis, along: number, beside: number): Place =>
  axis === "x" ? { x: along, y: beside } : { x: beside, y: along };

function nearest(catches: Catch[], reach: number): Catch | null {
  let best: Catch | null = null;
  for (const each of catches)
    if (Math.abs(each.by) <= reach && (!best || Math.abs(each.by) < Math.abs(best.by) - 1e-6)) best = each;
  return best;
}

/** Left, middle and right (or top, middle, bottom) brought to those of others. */
function edges(moving: Rect, others: Rect[], axis: Axis): Catch[] {
  const beside = other(axis);
  return others.flatMap((rect) =>
    [0, 0.5, 1].flatMap((share) => {
      const line = low(rect, axis) + size(rect, axis) * share;
      return [0, 0.5, 1].map((own) => ({
        by: line - (low(moving, axis) + size(moving, axis) * own),
        guides: (moved: Rect) => {
          const from = Math.min(low(moved, beside), low(rect, beside));
          const to = Math.max(high(moved, beside), high(rect, beside));
          const gap = between(moved, rect, beside);
          return [
            { from: place(axis, line, from), to: place(axis, line, to) },
            ...(gap
              ? [
                  {
                    from: place(axis, line, gap[0]),
                    to: place(axis, line, gap[1]),
                    distance: gap[1] - gap[0],
                  },
                ]
              : []),
          ];
        },
      }));
    }),
  );
}

/** The stretch between two boxes along an axis, or null where they overlap. */
function between(a: Rect, b: Rect, axis: Axis): [number, number] | null {
  if (high(a, axis) <= low(b, axis)) return [high(a, axis), low(b, axis)];
  if (high(b, axis) <= low(a, axis)) return [high(b, axis), low(a, axis)];
  return null;
}

/** The same gap on both sides, or the gap that two neighbours already have. */
function gaps(moving: Rect, others: Rect[], axis: Axis): Catch[] {
  const beside = other(axis);
  const row = others
    .filter((rect) => low(rect, beside) < high(moving, beside) && high(rect, beside) > low(moving, beside))
    .sort((a, b) => low(a, axis) - low(b, axis));
  const before = row.filter((rect) => high(rect, axis) <= low(moving, axis) + 1e-6);
  const after = row.filter((rect) => low(rect, axis) >= high(moving, axis) - 1e-6);
  const [left, farLeft] = [before.at(-1), before.at(-2)];
  const [right, farRight] = [after[0], after[1]];
  const line = (moved: Rect) => low(moved, beside) + size(moved, beside) / 2;
  const mark = (moved: Rect, from: number, to: number): Guide => ({
    from: place(axis, from, line(moved)),
    to: place(axis, to, line(moved)),
    distance: to - from,
  });
  const found: Catch[] = [];
  if (left && right)
    found.push({
      by: (high(left, axis) + low(right, axis)) / 2 - (low(moving, axis) + size(moving, axis) / 2),
      guides: (moved) => [
        mark(moved, high(left, axis), low(moved, axis)),
        mark(moved, high(moved, axis), low(right, axis)),
      ],
    });
  if (left && farLeft && low(left, axis) > high(farLeft, axis)) {
    const gap = low(left, axis) - high(farLeft, axis);
    found.push({
      by: high(left, axis) + gap - low(moving, axis),
      guides: (moved) => [
        mark(moved, high(farLeft, axis), low(left, axis)),
        mark(moved, high(left, axis), low(moved, axis)),
      ],
    });
  }
  if (right && farRight && low(farRight, axis) > high(right, axis)) {
    const gap = low(farRight, axis) - high(right, axis);
    found.push({
      by: low(right, axis) - gap - high(moving, axis),
      guides: (moved) => [
        mark(moved, high(moved, axis), low(right, axis)),
        mark(moved, high(right, axis), low(farRight, axis)),
      ],
    });
  }
  return found;
}

/** The box around boxes. */
export function around(rects: Rect[]): Rect {
  const left = Math.min(...rects.map((rect) => rect.x));
  const top = Math.min(...rects.map((rect) => rect.y));
  return {
    x: left,
    y: top,
    width: Math.max(...rects.map((rect) => rect.x + rect.width)) - left,
    height: Math.max(...rects.map((rect) => rect.y + rect.height)) - top,
  };
}

/** A place brought to the nearest edge or middle of boxes, in each direction by itself. */
export function caughtPlace(at: Place, rects: Rect[], reach: number): Place {
  const near = (value: number, axis: Axis) => {
    let best = value;
    let distance = reach;
    for (const rect of rects)
      for (const share of [0, 0.5, 1]) {
        const line = low(rect, axis) + size(rect, axis) * share;
        if (Math.abs(line - value) < distance) [best, distance] = [line, Math.abs(line - value)];
      }
    return best;
  };
  return { x: near(at.x, "x"), y: near(at.y, "y") };
}
