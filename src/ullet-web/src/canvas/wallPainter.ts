import { isLaid, isZone, type Cloth, type Element, type Scene } from "../api/client";
import { apply } from "./camera";
import { clothFill } from "./cloth";
import { drawThread } from "./thread";
import { outlineOf, type Frame } from "./outlines";
import { paintZone } from "./zonePainter";

export interface Drawing {
  scene: Scene;
  stitches: Map<string, Float32Array>;
  /** Counts photos of cloth that have come in: a picture made before one of them is out of date. */
  photos: number;
}

/** Draws the hoop with its ground cloth and the sewing field. */
export function paintHoop(ctx: CanvasRenderingContext2D, drawing: Drawing, frame: Frame) {
  const { fieldWidth: w, fieldHeight: h, groundClothId } = drawing.scene.hooping;
  const ground = find(drawing.scene.cloths, groundClothId);
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
  ctx.setLineDash([]);
  ctx.beginPath();
  ctx.moveTo(-2.5, 0);
  ctx.lineTo(2.5, 0);
  ctx.moveTo(0, -2.5);
  ctx.lineTo(0, 2.5);
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
    paintCloth(ctx, new Path2D(layer.path), find(drawing.scene.cloths, layer.clothId), frame);
  ctx.restore();
}

/** Draws one element with cloth and thread. */
export function paintElement(
  ctx: CanvasRenderingContext2D,
  drawing: Drawing,
  element: Element,
  frame: Frame,
  stepKey: string | null,
) {
  if (isZone(element)) {
    paintZone(ctx, element, frame, numberOf(drawing, stepKey));
    return;
  }
  if (element.isConstruction) {
    paintConstruction(ctx, element, frame);
    return;
  }
  if (element.cloths.length)
    for (const part of element.cloths)
      paintCloth(ctx, new Path2D(part.path), find(drawing.scene.cloths, part.clothId), frame);
  else if (isLaid(element))
    paintCloth(ctx, outlineOf(element), find(drawing.scene.cloths, element.cloth.id), frame);
  paintStitches(ctx, drawing, element.id, frame, stepKey);
}

/** The number of a step in the run sheet, from 1; null for none. */
function numberOf(drawing: Drawing, stepKey: string | null): number | null {
  const at = drawing.scene.steps
    .filter((step) => step.order != null)
    .findIndex((step) => step.key === stepKey);
  return at < 0 ? null : at + 1;
}

/** A construction shape: thin dashes, no cloth. */
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

function paintCloth(ctx: CanvasRenderingContext2D, outline: Path2D, cloth: Cloth | undefined, frame: Frame) {
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

function paintStitches(
  ctx: CanvasRenderingContext2D,
  drawing: Drawing,
  elementId: string,
  frame: Frame,
  stepKey: string | null,
) {
  apply(ctx, frame.camera, frame.ratio);
  for (const step of drawing.scene.steps) {
    if (step.ownerId !== elementId || !step.stitchesKey) continue;
    const points = drawing.stitches.get(step.stitchesKey);
    if (!points || !step.threadColour) continue;
    ctx.globalAlpha = stepKey === null || stepKey === step.key ? 1 : 0.22;
    drawThread(ctx, points, step.threadColour);
    ctx.globalAlpha = 1;
  }
}

function find(cloths: Cloth[], id: string): Cloth | undefined {
  return cloths.find((cloth) => cloth.id === id);
}
