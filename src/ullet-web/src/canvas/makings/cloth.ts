import type { Made } from "../../api/elements";
import { apply, type Camera } from "../camera";
import { clothOf, paintCloth } from "../clothPainter";
import { outlineOf } from "../outlines";
import { paintStitches } from "../stitchPainter";
import type { CanvasMaking } from "./module";

const INDIGO = "#3b4ba3";
const VERDIGRIS = "#1f7a6d";

/** Cloth with its thread; its stages when it is selected; its band is taken hold of as well. */
export const cloth: CanvasMaking<"cloth"> = {
  paint(ctx, drawing, element, frame, stepKey) {
    const { clothId, paths } = element.making;
    if (paths.cloths.length)
      for (const part of paths.cloths)
        paintCloth(ctx, new Path2D(part.path), clothOf(drawing, part.clothId), frame);
    else paintCloth(ctx, outlineOf(element), clothOf(drawing, clothId), frame);
    paintStitches(ctx, drawing, element.id, frame, stepKey);
  },
  mark: paintStages,
  under: paintUnderEdges,
  holds: (probe, element, at) =>
    probe.isPointInPath(outlineOf(element), at.x, at.y, "evenodd") ||
    probe.isPointInPath(new Path2D(element.making.paths.band), at.x, at.y, "evenodd"),
  signature: (drawing, element) =>
    JSON.stringify([element.making.paths.cloths, clothOf(drawing, element.making.clothId)]),
};

/** Placement long dashes, tack-down dots, cover hatched, cut edge double. */
function paintStages(ctx: CanvasRenderingContext2D, element: Made<"cloth">, px: number) {
  const { stages, paths } = element.making;
  if (!stages.cover.off && paths.band) hatch(ctx, element, px);
  ctx.lineCap = "butt";
  ctx.strokeStyle = VERDIGRIS;
  ctx.lineWidth = 3.4 * px;
  const cut = new Path2D(paths.cut);
  ctx.stroke(cut);
  ctx.strokeStyle = "#ffffff";
  ctx.lineWidth = 1.3 * px;
  ctx.stroke(cut);
  if (paths.placement) {
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 2.8 * px;
    const placement = new Path2D(paths.placement);
    ctx.stroke(placement);
    ctx.setLineDash([10 * px, 5 * px]);
    ctx.strokeStyle = INDIGO;
    ctx.lineWidth = 1.6 * px;
    ctx.stroke(placement);
  }
  if (paths.tackDown) {
    ctx.setLineDash([0, 6 * px]);
    ctx.lineCap = "round";
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 3 * px;
    ctx.stroke(new Path2D(paths.tackDown));
    ctx.strokeStyle = "#1d2a3a";
    ctx.lineWidth = 2 * px;
    ctx.stroke(new Path2D(paths.tackDown));
  }
  ctx.setLineDash([]);
}

function hatch(ctx: CanvasRenderingContext2D, element: Made<"cloth">, px: number) {
  ctx.save();
  ctx.clip(new Path2D(element.making.paths.band), "evenodd");
  const box = element.stitched ?? element.outline;
  ctx.strokeStyle = "rgb(255 255 255 / 0.32)";
  ctx.lineWidth = 1.2 * px;
  ctx.beginPath();
  const reach = box.height + 10;
  for (let x = box.x - reach; x < box.x + box.width + 10; x += 9 * px) {
    ctx.moveTo(x, box.y - 5);
    ctx.lineTo(x + reach, box.y - 5 + reach);
  }
  ctx.stroke();
  ctx.restore();
}

/** Edges of a piece that lies under others: what is covered pale and dashed, what is seen strong while it is selected. */
function paintUnderEdges(
  ctx: CanvasRenderingContext2D,
  element: Made<"cloth">,
  camera: Camera,
  ratio: number,
  isChosen: boolean,
) {
  const { covered: coveredPath, visible: visiblePath } = element.making.paths;
  if (!coveredPath) return;
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  ctx.lineCap = "butt";
  const covered = new Path2D(coveredPath);
  ctx.strokeStyle = "rgb(29 42 58 / 0.35)";
  ctx.lineWidth = (isChosen ? 3 : 2) * px;
  ctx.setLineDash([5 * px, 4 * px]);
  ctx.stroke(covered);
  ctx.strokeStyle = isChosen ? "#ffffff" : "rgb(255 255 255 / 0.75)";
  ctx.lineWidth = (isChosen ? 1.8 : 1.1) * px;
  ctx.stroke(covered);
  ctx.setLineDash([]);
  if (!isChosen || !visiblePath) return;
  const visible = new Path2D(visiblePath);
  ctx.strokeStyle = "#ffffff";
  ctx.lineWidth = 4.4 * px;
  ctx.stroke(visible);
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 2.6 * px;
  ctx.stroke(visible);
}
