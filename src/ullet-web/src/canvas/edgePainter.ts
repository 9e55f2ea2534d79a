import type { Element } from "../api/elements";
import { apply, type Camera } from "./camera";

const MADDER = "#b3343a";

/** Crumbs filled, thin places ringed: what operations leave too small. */
export function paintLeftovers(
  ctx: CanvasRenderingContext2D,
  element: Element,
  camera: Camera,
  ratio: number,
) {
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  for (const left of element.leftovers) {
    const path = new Path2D(left.path);
    ctx.fillStyle = left.kind === "coversMeet" ? "rgb(217 138 0 / 0.35)" : "rgb(179 52 58 / 0.5)";
    ctx.fill(path, "evenodd");
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 3 * px;
    ctx.stroke(path);
    ctx.strokeStyle = left.kind === "coversMeet" ? "#8a5800" : MADDER;
    ctx.lineWidth = 1.6 * px;
    ctx.stroke(path);
  }
}

/** A line that a list points at. */
export function paintPointed(ctx: CanvasRenderingContext2D, path: string, camera: Camera, ratio: number) {
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  const line = new Path2D(path);
  ctx.lineCap = "round";
  ctx.strokeStyle = "#ffffff";
  ctx.lineWidth = 7 * px;
  ctx.stroke(line);
  ctx.strokeStyle = "#d98a00";
  ctx.lineWidth = 4 * px;
  ctx.stroke(line);
}
