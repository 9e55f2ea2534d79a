import { apply } from "../camera";
import { clothOf } from "../clothPainter";
import { outlineOf } from "../outlines";
import { paintStitches } from "../stitchPainter";
import type { CanvasMaking } from "./module";

const INDIGO = "#3b4ba3";

/** Thread in rows; hands get hold of its area. */
export const filled: CanvasMaking<"filled"> = {
  paint(ctx, drawing, element, frame, stepKey) {
    const film = element.making.set.filmClothId
      ? clothOf(drawing, element.making.set.filmClothId)
      : undefined;
    if (film) {
      apply(ctx, frame.camera, frame.ratio);
      ctx.fillStyle = film.colour;
      ctx.fill(new Path2D(element.outlinePath), "evenodd");
    }
    paintStitches(ctx, drawing, element.id, frame, stepKey);
  },
  mark(ctx, element, px) {
    ctx.strokeStyle = INDIGO;
    ctx.lineWidth = 1.2 * px;
    ctx.stroke(new Path2D(element.outlinePath));
    const { guide } = element.making;
    if (guide.length < 2) return;
    const line = new Path2D();
    guide.forEach((at, i) => (i === 0 ? line.moveTo(at.x, at.y) : line.lineTo(at.x, at.y)));
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 4 * px;
    ctx.stroke(line);
    ctx.strokeStyle = INDIGO;
    ctx.lineWidth = 2 * px;
    ctx.stroke(line);
  },
  holds: (probe, element, at) => probe.isPointInPath(outlineOf(element), at.x, at.y, "evenodd"),
  signature(drawing, element) {
    const film = element.making.set.filmClothId;
    return film ? (clothOf(drawing, film)?.colour ?? "") : "";
  },
};
