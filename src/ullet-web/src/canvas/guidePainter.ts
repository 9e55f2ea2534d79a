import { toScreen, type Camera, type Place } from "./camera";
import type { Guide } from "./guides";

const INDIGO = "#3b4ba3";

/** Lines that a drag has caught, each with its distance. */
export function paintGuides(
  ctx: CanvasRenderingContext2D,
  guides: Guide[],
  camera: Camera,
  ratio: number,
  text: (mm: number) => string,
) {
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  ctx.lineWidth = 1.25;
  ctx.strokeStyle = INDIGO;
  for (const guide of guides) {
    const [from, to] = [toScreen(camera, guide.from), toScreen(camera, guide.to)];
    ctx.setLineDash(guide.distance === undefined ? [6, 4] : []);
    ctx.beginPath();
    ctx.moveTo(from.x, from.y);
    ctx.lineTo(to.x, to.y);
    ctx.stroke();
    if (guide.distance !== undefined && guide.distance > 0.05) label(ctx, from, to, text(guide.distance));
  }
  ctx.setLineDash([]);
}

/** A measured stretch: a line with a bar at each end and its length. */
export function paintMeasure(
  ctx: CanvasRenderingContext2D,
  measured: { from: Place; to: Place },
  camera: Camera,
  ratio: number,
  text: (mm: number) => string,
) {
  const [from, to] = [toScreen(camera, measured.from), toScreen(camera, measured.to)];
  const length = Math.hypot(measured.to.x - measured.from.x, measured.to.y - measured.from.y);
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  const along = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [nx, ny] = [(-(to.y - from.y) / along) * 8, ((to.x - from.x) / along) * 8];
  for (const [colour, width] of [
    ["#ffffff", 4],
    ["#1d2a3a", 1.75],
  ] as const) {
    ctx.strokeStyle = colour;
    ctx.lineWidth = width;
    ctx.beginPath();
    ctx.moveTo(from.x, from.y);
    ctx.lineTo(to.x, to.y);
    for (const end of [from, to]) {
      ctx.moveTo(end.x - nx, end.y - ny);
      ctx.lineTo(end.x + nx, end.y + ny);
    }
    ctx.stroke();
  }
  if (length > 0.05) label(ctx, from, to, text(length));
}

function label(ctx: CanvasRenderingContext2D, from: Place, to: Place, words: string) {
  ctx.font = '600 12px "Hanken Grotesk Variable", sans-serif';
  const width = ctx.measureText(words).width + 10;
  const [x, y] = [(from.x + to.x) / 2 - width / 2, (from.y + to.y) / 2 - 9];
  ctx.fillStyle = "#1d2a3a";
  ctx.beginPath();
  ctx.roundRect(x, y, width, 18, 4);
  ctx.fill();
  ctx.fillStyle = "#ffffff";
  ctx.textBaseline = "middle";
  ctx.fillText(words, x + 5, y + 9.5);
}
