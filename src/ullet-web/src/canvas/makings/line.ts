import type { Element } from "../../api/elements";
import { outlineOf } from "../outlines";
import { paintStitches } from "../stitchPainter";
import type { CanvasMaking } from "./module";

const INDIGO = "#3b4ba3";

/** Thread without cloth; hands get hold of the line itself. */
export const line: CanvasMaking<"line"> = {
  paint: (ctx, drawing, element, frame, stepKey) => paintStitches(ctx, drawing, element.id, frame, stepKey),
  mark: paintSewnLine,
  holds: (probe, element, at, reach) => isOnLine(probe, element, at, reach),
  signature: () => "",
};

export function isOnLine(
  probe: CanvasRenderingContext2D,
  element: Element,
  at: { x: number; y: number },
  reach: number,
): boolean {
  probe.lineWidth = 2 * reach;
  return probe.isPointInStroke(outlineOf(element), at.x, at.y);
}

/** The edge of what is sewn without cloth: long dashes, as a placement. */
export function paintSewnLine(ctx: CanvasRenderingContext2D, element: Element, px: number) {
  ctx.setLineDash([10 * px, 5 * px]);
  ctx.lineCap = "butt";
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 1.4 * px;
  ctx.stroke(new Path2D(element.outlinePath));
  ctx.setLineDash([]);
}
