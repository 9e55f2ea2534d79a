import type { Element } from "../api/elements";
import { apply } from "./camera";
import { clothFill } from "./cloth";
import { clothOf, paintCloth } from "./clothPainter";
import type { Drawing } from "./drawing";
import { makingOf } from "./makings";
import type { Frame } from "./outlines";

/** Draws the hoop with its ground cloth and the sewing field. */
export function paintHoop(ctx: CanvasRenderingContext2D, drawing: Drawing, frame: Frame) {
  const { fieldWidth: w, fieldHeight: h, groundClothId } = drawing.scene.hooping;
  const ground = clothOf(drawing, groundClothId);
  apply(ctx, frame.camera, frame.ratio);
  const ring = 7;
  ctx.beginPath();
  ctx.roundRect(-w / 2 - ring, -h / 2 - ring, w + ring * 2, h + ring * 2, 12);
  ctx.fillStyle = "#aab4bf";
  ctx.fill();
  ctx.beginPath();
  ctx.roundRect(-w / 2 - ring + 3, -h / 2 - ring + 3, w + ring * 2 - 6, h + ring * 2 - 6, 9);
  ctx.fillStyle = ground ? clothFill(ctx, ground) : "#ffffff";
  ctx.fill();
  ctx.lineWidth = 1 / frame.camera.scale;
  ctx.strokeStyle = "rgb(29 42 58 / 0.45)";
  ctx.setLineDash([1.2, 1.2]);
  ctx.strokeRect(-w / 2, -h / 2, w, h);
  const { marginAcross = 0, marginDown = 0, middleX = 0, middleY = 0 } = drawing.scene.hooping.hoop;
  if (marginAcross > 0 || marginDown > 0) {
    // What the owner keeps free: finer than the field's own edge.
    ctx.setLineDash([0.4, 1.6]);
    ctx.strokeRect(-w / 2 + marginAcross, -h / 2 + marginDown, w - 2 * marginAcross, h - 2 * marginDown);
  }
  ctx.setLineDash([]);
  ctx.beginPath();
  ctx.moveTo(middleX - 2.5, middleY);
  ctx.lineTo(middleX + 2.5, middleY);
  ctx.moveTo(middleX, middleY - 2.5);
  ctx.lineTo(middleX, middleY + 2.5);
  ctx.stroke();
}

/** Draws the layers of a pattern on which its decoration lies. */
export function paintBase(ctx: CanvasRenderingContext2D, drawing: Drawing, frame: Frame) {
  const { fieldWidth: w, fieldHeight: h } = drawing.scene.hooping;
  apply(ctx, frame.camera, frame.ratio);
  ctx.save();
  ctx.beginPath();
  ctx.roundRect(-w / 2 - 4, -h / 2 - 4, w + 8, h + 8, 9);
  ctx.clip();
  for (const layer of drawing.scene.base)
    paintCloth(ctx, new Path2D(layer.path), clothOf(drawing, layer.clothId), frame);
  ctx.restore();
}

/** Draws one element as what it is made into. */
export function paintElement(
  ctx: CanvasRenderingContext2D,
  drawing: Drawing,
  element: Element,
  frame: Frame,
  stepKey: string | null,
) {
  makingOf(element).paint(ctx, drawing, element, frame, stepKey);
}
