import type { ElementBox } from "../api/client";
import type { Place } from "./camera";

/** A handle on a box: −1, 0 or 1 across and down. */
export interface Handle {
  across: -1 | 0 | 1;
  down: -1 | 0 | 1;
}

export const HANDLES: Handle[] = [
  { across: -1, down: -1 },
  { across: 0, down: -1 },
  { across: 1, down: -1 },
  { across: 1, down: 0 },
  { across: 1, down: 1 },
  { across: 0, down: 1 },
  { across: -1, down: 1 },
  { across: -1, down: 0 },
];

const LEAST_SIDE = 1;
/** A straight line has no height of its own to drag. */
const FLAT = 0.01;

/** A place of the box's own frame (from its middle, before turning) on the wall. */
export function onWall(box: ElementBox, x: number, y: number): Place {
  const turn = (box.rotation * Math.PI) / 180;
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  return { x: box.x + x * cos - y * sin, y: box.y + x * sin + y * cos };
}

/** A place of the wall in the box's own frame. */
export function inBox(box: ElementBox, at: Place): Place {
  const turn = (-box.rotation * Math.PI) / 180;
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  const [dx, dy] = [at.x - box.x, at.y - box.y];
  return { x: dx * cos - dy * sin, y: dx * sin + dy * cos };
}

export function handlePlace(box: ElementBox, handle: Handle): Place {
  return onWall(box, (handle.across * box.width) / 2, (handle.down * box.height) / 2);
}

/** The box after a handle was dragged to a place; the side or corner opposite stays. */
export function dragged(box: ElementBox, handle: Handle, to: Place, keepProportions: boolean): ElementBox {
  const local = inBox(box, to);
  let width = handle.across === 0 || box.width < FLAT ? box.width : box.width / 2 + local.x * handle.across;
  let height = handle.down === 0 || box.height < FLAT ? box.height : box.height / 2 + local.y * handle.down;
  if (box.width >= FLAT) width = Math.max(LEAST_SIDE, width);
  if (box.height >= FLAT) height = Math.max(LEAST_SIDE, height);
  if (keepProportions) {
    const byWidth = width / (box.width || 1);
    const byHeight = height / (box.height || 1);
    const by = handle.across === 0 ? byHeight : handle.down === 0 ? byWidth : Math.max(byWidth, byHeight);
    width = box.width * by;
    height = box.height * by;
  }
  const middle = onWall(
    box,
    (handle.across * (width - box.width)) / 2,
    (handle.down * (height - box.height)) / 2,
  );
  return { ...box, x: middle.x, y: middle.y, width, height };
}

/** The turn of a box when its ring is dragged to a place, in steps of 15° unless free. */
export function turnedTo(box: ElementBox, to: Place, free: boolean): number {
  const degrees = (Math.atan2(to.y - box.y, to.x - box.x) * 180) / Math.PI + 90;
  const turn = free ? Math.round(degrees * 10) / 10 : Math.round(degrees / 15) * 15;
  return ((turn + 540) % 360) - 180;
}

/** The map that brings a drawing made for one box to another. */
export function between(from: ElementBox, to: ElementBox): DOMMatrix {
  return new DOMMatrix()
    .translateSelf(to.x, to.y)
    .rotateSelf(to.rotation)
    .scaleSelf(to.width / (from.width || 1) || 1, to.height / (from.height || 1) || 1)
    .rotateSelf(-from.rotation)
    .translateSelf(-from.x, -from.y);
}
