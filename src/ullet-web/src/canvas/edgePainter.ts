import type { Element } from "../api/client";
import { apply, type Camera } from "./camera";

const INDIGO = "#3b4ba3";
const MADDER = "#b3343a";

/** Edges of a piece that lies under others: what is covered pale and dashed, what is seen strong while it is selected. */
export function paintUnderEdges(
  ctx: CanvasRenderingContext2D,
  element: Element,
  camera: Camera,
  ratio: number,
  isChosen: boolean,
) {
  if (!element.coveredPath) return;
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  ctx.lineCap = "butt";
  const covered = new Path2D(element.coveredPath);
  ctx.strokeStyle = "rgb(29 42 58 / 0.35)";
  ctx.lineWidth = (isChosen ? 3 : 2) * px;
  ctx.setLineDash([5 * px, 4 * px]);
  ctx.stroke(covered);
  ctx.strokeStyle = isChosen ? "#ffffff" : "rgb(255 255 255 / 0.75)";
  ctx.lineWidth = (isChosen ? 1.8 : 1.1) * px;
  ctx.stroke(covered);
  ctx.setLineDash([]);
  if (!isChosen || !element.visiblePath) return;
  const visible = new Path2D(element.visiblePath);
  ctx.strokeStyle = "#ffffff";
  ctx.lineWidth = 4.4 * px;
  ctx.stroke(visible);
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 2.6 * px;
  ctx.stroke(visible);
}

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
