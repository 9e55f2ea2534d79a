import type { Cloth } from "../api/client";
import { apply } from "./camera";
import { clothFill } from "./cloth";
import type { Drawing } from "./drawing";
import type { Frame } from "./outlines";

export function clothOf(drawing: Drawing, id: string): Cloth | undefined {
  return drawing.scene.cloths.find((cloth) => cloth.id === id);
}

/** A piece of cloth with the shadow of its edge. */
export function paintCloth(
  ctx: CanvasRenderingContext2D,
  outline: Path2D,
  cloth: Cloth | undefined,
  frame: Frame,
) {
  apply(ctx, frame.camera, frame.ratio);
  ctx.save();
  ctx.shadowColor = "rgb(29 42 58 / 0.3)";
  ctx.shadowBlur = 1.2 * frame.camera.scale * frame.ratio;
  ctx.shadowOffsetY = 0.35 * frame.camera.scale * frame.ratio;
  ctx.fillStyle = cloth?.colour ?? "#ffffff";
  ctx.fill(outline, "evenodd");
  ctx.restore();
  if (cloth) {
    ctx.fillStyle = clothFill(ctx, cloth);
    ctx.fill(outline, "evenodd");
  }
}
