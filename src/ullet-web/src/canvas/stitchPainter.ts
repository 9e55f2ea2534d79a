import { apply } from "./camera";
import type { Drawing } from "./drawing";
import type { Frame } from "./outlines";
import { drawThread } from "./thread";

/** The thread of all steps of an element; while a step is pointed at, that of others is faint. */
export function paintStitches(
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
