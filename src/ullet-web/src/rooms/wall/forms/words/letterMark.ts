import type { Letter } from "../../../../api/client";
import { apply, type Camera, type Place } from "../../../../canvas/camera";

/** The edge of the letter that hands work on, at a distance from its place, mm. */
export function paintChosenLetter(
  ctx: CanvasRenderingContext2D,
  letter: Letter,
  moved: Place,
  camera: Camera,
  ratio: number,
) {
  const path = new Path2D(letter.path);
  apply(ctx, camera, ratio);
  ctx.translate(moved.x, moved.y);
  ctx.fillStyle = "rgb(59 75 163 / 0.22)";
  ctx.fill(path);
  for (const [colour, width] of [
    ["#ffffff", 4],
    ["#3b4ba3", 2],
  ] as const) {
    ctx.strokeStyle = colour;
    ctx.lineWidth = width / camera.scale;
    ctx.stroke(path);
  }
}
