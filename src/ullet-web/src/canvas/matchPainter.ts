import type { Margin } from "../api/client";
import { apply, type Camera } from "./camera";

/** Places farther from each other than this are not joined, mm. */
const JOINED = 4;

/** The edge match along the cut edge: strong where something is missing, thin where the cover holds. */
export function paintMargins(
  ctx: CanvasRenderingContext2D,
  margins: Margin[],
  camera: Camera,
  ratio: number,
) {
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  const [holds, fails] = [new Path2D(), new Path2D()];
  let last: Margin | null = null;
  for (const margin of margins) {
    if (last?.ring === margin.ring && Math.hypot(margin.x - last.x, margin.y - last.y) < JOINED) {
      const path = margin.spare < 0 || last.spare < 0 ? fails : holds;
      path.moveTo(last.x, last.y);
      path.lineTo(margin.x, margin.y);
    }
    last = margin;
  }
  ctx.lineCap = "round";
  for (const [path, colour, width] of [
    [holds, "#1f7a6d", 2.4],
    [fails, "#b3343a", 5],
  ] as const) {
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = (width + 2) * px;
    ctx.stroke(path);
    ctx.strokeStyle = colour;
    ctx.lineWidth = width * px;
    ctx.stroke(path);
  }
}
