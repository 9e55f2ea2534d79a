import type { Sheet, SheetShape } from "../../api/client";

/** A box on the mat, mm. */
export interface MatBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Edges nearer than this are caught, mm. */
const CATCH = 2.5;

/** The box round shapes that move as one. */
export function boxOf(shapes: SheetShape[]): MatBox {
  const left = Math.min(...shapes.map((shape) => shape.box.x));
  const top = Math.min(...shapes.map((shape) => shape.box.y));
  return {
    x: left,
    y: top,
    width: Math.max(...shapes.map((shape) => shape.box.x + shape.box.width)) - left,
    height: Math.max(...shapes.map((shape) => shape.box.y + shape.box.height)) - top,
  };
}

/** Where a box is caught that a hand moves: at the edges of where shapes may lie, and a gap away from other shapes. */
export function snapped(
  moving: MatBox,
  by: { x: number; y: number },
  others: SheetShape[],
  usable: MatBox,
  gap: number,
): { x: number; y: number } {
  const to = { x: moving.x + by.x, y: moving.y + by.y };
  const xs = [usable.x, usable.x + usable.width - moving.width];
  const ys = [usable.y, usable.y + usable.height - moving.height];
  for (const { box } of others) {
    xs.push(box.x, box.x + box.width + gap, box.x - gap - moving.width, box.x + box.width - moving.width);
    ys.push(box.y, box.y + box.height + gap, box.y - gap - moving.height, box.y + box.height - moving.height);
  }
  return { x: nearest(to.x, xs) - moving.x, y: nearest(to.y, ys) - moving.y };
}

function nearest(value: number, places: number[]): number {
  let best = value;
  let least = CATCH;
  for (const place of places) {
    if (Math.abs(place - value) < least) {
      least = Math.abs(place - value);
      best = place;
    }
  }
  return best;
}

/** The shapes of a sheet that keep their places to one. */
export const unitOf = (sheet: Sheet, shape: SheetShape) =>
  sheet.shapes.filter((each) => each.unit === shape.unit);
