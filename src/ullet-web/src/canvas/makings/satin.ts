import { outlineOf } from "../outlines";
import { paintStitches } from "../stitchPainter";
import { isOnLine } from "./line";
import type { CanvasMaking } from "./module";

const INDIGO = "#3b4ba3";
const RUST = "#a8431f";

/** Thread in strokes; hands get hold of its area, and of a band's line. */
export const satin: CanvasMaking<"satin"> = {
  paint: (ctx, drawing, element, frame, stepKey) => paintStitches(ctx, drawing, element.id, frame, stepKey),
  mark(ctx, element, px) {
    ctx.strokeStyle = INDIGO;
    ctx.lineWidth = 1.2 * px;
    ctx.stroke(new Path2D(element.outlinePath));
    for (const part of element.making.fallen) {
      ctx.strokeStyle = RUST;
      ctx.lineWidth = 1.6 * px;
      ctx.setLineDash(part.isTooWide ? [6 * px, 4 * px] : [0, 5 * px]);
      ctx.lineCap = part.isTooWide ? "butt" : "round";
      ctx.beginPath();
      ctx.arc(part.x, part.y, Math.max(part.length / 2, 6 * px), 0, 2 * Math.PI);
      ctx.stroke();
    }
    ctx.setLineDash([]);
    ctx.lineCap = "round";
    for (const line of element.making.directions) {
      ctx.strokeStyle = "#ffffff";
      ctx.lineWidth = 4 * px;
      ctx.beginPath();
      ctx.moveTo(line.fromX, line.fromY);
      ctx.lineTo(line.toX, line.toY);
      ctx.stroke();
      ctx.strokeStyle = INDIGO;
      ctx.lineWidth = 2 * px;
      ctx.stroke();
    }
    ctx.lineCap = "butt";
  },
  holds: (probe, element, at, reach) =>
    element.making.set.alongLines
      ? isOnLine(probe, element, at, Math.max(reach, (element.making.band.width ?? 0) / 2))
      : probe.isPointInPath(outlineOf(element), at.x, at.y, "evenodd"),
  signature: () => "",
};
