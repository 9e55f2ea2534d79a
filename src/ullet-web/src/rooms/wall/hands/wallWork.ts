import type { Edit, ElementBox } from "../../../api/client";
import type { Element } from "../../../api/elements";
import type { Handle } from "../../../canvas/boxes";
import type { Place } from "../../../canvas/camera";

/** What a hand is at. */
export type Work =
  | { kind: "pan"; last: Place }
  | { kind: "band"; from: Place; keep: string[] }
  | { kind: "measure"; from: Place }
  | { kind: "direction"; elementId: string; from: Place; to: Place }
  | { kind: "guide"; elementId: string; places: Place[] }
  | { kind: "press"; from: Place; elements: Element[]; without: string[] | null; only: string[] | null }
  | {
      kind: "move";
      from: Place;
      elements: Element[];
      now: Map<string, ElementBox>;
      /** Where a guide has caught it: that place is kept exactly, others are rounded to a tenth of a mm. */
      exact: { x: boolean; y: boolean };
    }
  | { kind: "letter"; element: Element; index: number; from: Place; by: Place }
  | { kind: "scale"; element: Element; handle: Handle; now: ElementBox }
  | { kind: "turn"; element: Element; now: ElementBox }
  | { kind: "scaleAll"; elements: Element[]; whole: ElementBox; handle: Handle; now: ElementBox }
  | { kind: "turnAll"; elements: Element[]; whole: ElementBox; now: ElementBox };

/** A shorter line is a mere press, mm. */
const LEAST_DIRECTION = 0.5;

const tenth = (value: number) => Math.round(value * 10) / 10;

/** The edit that a finished drag stands for; null when nothing moved. */
export function editOf(done: Work): Edit | null {
  if (done.kind === "move") {
    const first = done.elements[0];
    const to = first && done.now.get(first.id);
    if (!first || !to) return null;
    const [x, y] = [to.x - first.box.x, to.y - first.box.y];
    return {
      edit: "moveElements",
      elementIds: done.elements.map((element) => element.id),
      x: done.exact.x ? x : tenth(x),
      y: done.exact.y ? y : tenth(y),
    };
  }
  if (done.kind === "guide")
    return done.places.length < 2
      ? null
      : { edit: "layGuide", elementId: done.elementId, line: done.places.flatMap((at) => [at.x, at.y]) };
  if (done.kind === "direction")
    return Math.hypot(done.to.x - done.from.x, done.to.y - done.from.y) < LEAST_DIRECTION
      ? null
      : {
          edit: "layDirection",
          elementId: done.elementId,
          fromX: done.from.x,
          fromY: done.from.y,
          toX: done.to.x,
          toY: done.to.y,
        };
  if (done.kind === "letter" && Math.hypot(done.by.x, done.by.y) > 0.05) {
    const own = turnedBack(done.by, done.element.box);
    return {
      edit: "touchLetter",
      elementId: done.element.id,
      index: done.index,
      byX: tenth(own.x),
      byY: tenth(own.y),
    };
  }
  if (done.kind === "scale" && done.now !== done.element.box) {
    const { x, y, width, height } = done.now;
    return {
      edit: "placeElement",
      elementId: done.element.id,
      x,
      y,
      width: tenth(width),
      height: tenth(height),
      keepProportions: false,
    };
  }
  if (done.kind === "scaleAll" && done.now !== done.whole)
    return {
      edit: "placeElements",
      elementIds: done.elements.map((element) => element.id),
      x: done.now.x,
      y: done.now.y,
      width: tenth(done.now.width),
      height: tenth(done.now.height),
    };
  if (done.kind === "turnAll" && done.now.rotation !== 0)
    return {
      edit: "placeElements",
      elementIds: done.elements.map((element) => element.id),
      turn: done.now.rotation,
    };
  if (done.kind === "turn" && done.now.rotation !== done.element.box.rotation)
    return {
      edit: "placeElement",
      elementId: done.element.id,
      rotation: done.now.rotation,
      keepProportions: false,
    };
  return null;
}

/** A way on the wall as the element sees it. */
function turnedBack(by: Place, box: ElementBox): Place {
  const turn = (-box.rotation * Math.PI) / 180;
  const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
  const x = by.x * cos - by.y * sin;
  return { x: box.isFlipped ? -x : x, y: by.x * sin + by.y * cos };
}
