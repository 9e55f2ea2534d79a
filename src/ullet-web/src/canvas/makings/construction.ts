import type { Element } from "../../api/elements";
import { apply } from "../camera";
import { outlineOf, type Frame } from "../outlines";
import { isOnLine, paintSewnLine } from "./line";
import type { CanvasMaking } from "./module";

/** A shape that only serves others: thin dashes, no cloth, no thread. */
export const construction: CanvasMaking<"construction"> = {
  paint: (ctx, _, element, frame) => paintConstruction(ctx, element, frame),
  mark: paintSewnLine,
  holds: (probe, element, at, reach) =>
    probe.isPointInPath(outlineOf(element), at.x, at.y, "evenodd") || isOnLine(probe, element, at, reach),
  signature: () => "construction",
};

function paintConstruction(ctx: CanvasRenderingContext2D, element: Element, frame: Frame) {
  apply(ctx, frame.camera, frame.ratio);
  const px = 1 / frame.camera.scale;
  ctx.lineCap = "butt";
  for (const [color, width] of [
    ["rgb(255 255 255 / 0.8)", 2.6],
    ["#5a6878", 1.2],
  ] as const) {
    ctx.setLineDash([4 * px, 4 * px]);
    ctx.strokeStyle = color;
    ctx.lineWidth = width * px;
    ctx.stroke(outlineOf(element));
  }
  ctx.setLineDash([]);
}
