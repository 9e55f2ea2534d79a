import { apply } from "../camera";
import { clothOf, paintCloth } from "../clothPainter";
import { outlineOf } from "../outlines";
import type { CanvasMaking } from "./module";

const VERDIGRIS = "#1f7a6d";

/** Cut out and never sewn: its cloth with a fine cut edge all round. */
export const cutOnly: CanvasMaking<"cutOnly"> = {
  paint(ctx, drawing, element, frame) {
    const path = outlineOf(element);
    paintCloth(ctx, path, clothOf(drawing, element.making.clothId), frame);
    apply(ctx, frame.camera, frame.ratio);
    ctx.strokeStyle = VERDIGRIS;
    ctx.lineWidth = 1.1 / frame.camera.scale;
    ctx.stroke(path);
  },
  mark(ctx, element, px) {
    const path = outlineOf(element);
    ctx.strokeStyle = VERDIGRIS;
    ctx.lineWidth = 3.4 * px;
    ctx.stroke(path);
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 1.3 * px;
    ctx.stroke(path);
  },
  holds: (probe, element, at) => probe.isPointInPath(outlineOf(element), at.x, at.y, "evenodd"),
  signature: (drawing, element) => JSON.stringify(clothOf(drawing, element.making.clothId)),
};
