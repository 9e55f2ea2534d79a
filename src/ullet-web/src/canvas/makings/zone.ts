import type { ZoneRole } from "../../api/client";
import type { Made } from "../../api/elements";
import { apply } from "../camera";
import { numberOf } from "../drawing";
import { outlineOf, type Frame } from "../outlines";
import { paintSewnLine, isOnLine } from "./line";
import type { CanvasMaking } from "./module";

const LOOKS: Record<NonNullable<ZoneRole>, { edge: string; fill: string; hatch: boolean }> = {
  keepClear: { edge: "#b3343a", fill: "rgb(179 52 58 / 0.1)", hatch: true },
  stayWithin: { edge: "#1f7a6d", fill: "transparent", hatch: false },
  guide: { edge: "#5a6878", fill: "transparent", hatch: false },
};

/** A region that is never sewn. */
export const zone: CanvasMaking<"zone"> = {
  paint: (ctx, drawing, element, frame, stepKey) =>
    paintZone(ctx, element, frame, numberOf(drawing, stepKey)),
  mark: paintSewnLine,
  holds: (probe, element, at, reach) =>
    probe.isPointInPath(outlineOf(element), at.x, at.y, "evenodd") || isOnLine(probe, element, at, reach),
  signature: (_, element, stepKey) => `${element.making.role} ${stepKey}`,
};

/** A zone: an edge of short dashes; one that is kept clear is hatched as well, so that colour is not all that tells.
 * While a step is pointed at, a zone that is not there then is faint. */
function paintZone(ctx: CanvasRenderingContext2D, element: Made<"zone">, frame: Frame, step: number | null) {
  const isThere =
    step === null ||
    (step > element.making.from && (element.making.until == null || step <= element.making.until));
  const look = LOOKS[element.making.role];
  const path = outlineOf(element);
  apply(ctx, frame.camera, frame.ratio);
  const px = 1 / frame.camera.scale;
  ctx.save();
  ctx.globalAlpha = isThere ? 1 : 0.15;
  ctx.fillStyle = look.fill;
  ctx.fill(path);
  if (look.hatch) hatch(ctx, element, path, px);
  ctx.lineCap = "butt";
  for (const [color, width] of [
    ["rgb(255 255 255 / 0.85)", 3],
    [look.edge, 1.4],
  ] as const) {
    ctx.setLineDash([6 * px, 3 * px]);
    ctx.strokeStyle = color;
    ctx.lineWidth = width * px;
    ctx.stroke(path);
  }
  ctx.setLineDash([]);
  ctx.restore();
}

function hatch(ctx: CanvasRenderingContext2D, element: Made<"zone">, path: Path2D, px: number) {
  const { x, y, width, height } = element.outline;
  const step = 7 * px;
  ctx.save();
  ctx.clip(path);
  ctx.beginPath();
  for (let at = x - height; at < x + width; at += step) {
    ctx.moveTo(at, y + height);
    ctx.lineTo(at + height, y);
  }
  ctx.strokeStyle = "rgb(179 52 58 / 0.45)";
  ctx.lineWidth = px;
  ctx.stroke();
  ctx.restore();
}
