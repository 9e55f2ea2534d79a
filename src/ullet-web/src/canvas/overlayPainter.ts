import { isLaid, type Element, type ElementBox, type Finding } from "../api/client";
import { HANDLES, handlePlace, onWall } from "./boxes";
import { apply, toScreen, type Camera, type Place } from "./camera";

const INDIGO = "#3b4ba3";
const VERDIGRIS = "#1f7a6d";

/** How far above a box its turning ring stands, CSS pixels. */
export const RING_AWAY = 26;

/** Stage lines of a selected piece: placement long dashes, tack-down dots, cover hatched, cut edge double. */
export function paintStageLines(
  ctx: CanvasRenderingContext2D,
  element: Element,
  camera: Camera,
  ratio: number,
) {
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  if (!isLaid(element) || element.isConstruction) {
    paintSewnLine(ctx, element, px);
    return;
  }
  const stages = element.cloth.stages;
  if (!stages.cover.off && element.bandPath) hatch(ctx, element, px);
  ctx.lineCap = "butt";
  ctx.strokeStyle = VERDIGRIS;
  ctx.lineWidth = 3.4 * px;
  const cut = new Path2D(element.cutPath);
  ctx.stroke(cut);
  ctx.strokeStyle = "#ffffff";
  ctx.lineWidth = 1.3 * px;
  ctx.stroke(cut);
  if (element.placementPath) {
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 2.8 * px;
    const placement = new Path2D(element.placementPath);
    ctx.stroke(placement);
    ctx.setLineDash([10 * px, 5 * px]);
    ctx.strokeStyle = INDIGO;
    ctx.lineWidth = 1.6 * px;
    ctx.stroke(placement);
  }
  if (element.tackPath) {
    ctx.setLineDash([0, 6 * px]);
    ctx.lineCap = "round";
    ctx.strokeStyle = "#ffffff";
    ctx.lineWidth = 3 * px;
    ctx.stroke(new Path2D(element.tackPath));
    ctx.strokeStyle = "#1d2a3a";
    ctx.lineWidth = 2 * px;
    ctx.stroke(new Path2D(element.tackPath));
  }
  ctx.setLineDash([]);
}

/** The edge of what is sewn without cloth: long dashes, as a placement. */
function paintSewnLine(ctx: CanvasRenderingContext2D, element: Element, px: number) {
  ctx.setLineDash([10 * px, 5 * px]);
  ctx.lineCap = "butt";
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 1.4 * px;
  ctx.stroke(new Path2D(element.outlinePath));
  ctx.setLineDash([]);
}

function hatch(ctx: CanvasRenderingContext2D, element: Element, px: number) {
  ctx.save();
  ctx.clip(new Path2D(element.bandPath), "evenodd");
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

/** The frame of a box with its handles and turning ring. */
export function paintBox(
  ctx: CanvasRenderingContext2D,
  box: ElementBox,
  camera: Camera,
  ratio: number,
  handles: boolean,
) {
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  const corners = [0, 2, 4, 6].map((i) =>
    toScreen(camera, handlePlace(box, HANDLES[i] ?? { across: 0, down: 0 })),
  );
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 1.25;
  ctx.beginPath();
  corners.forEach((corner, i) => (i ? ctx.lineTo(corner.x, corner.y) : ctx.moveTo(corner.x, corner.y)));
  ctx.closePath();
  ctx.stroke();
  if (!handles) return;
  for (const handle of HANDLES) {
    const at = toScreen(camera, handlePlace(box, handle));
    ctx.beginPath();
    ctx.arc(at.x, at.y, handle.across && handle.down ? 5 : 4, 0, 2 * Math.PI);
    ctx.fillStyle = "#ffffff";
    ctx.fill();
    ctx.stroke();
  }
  const ring = ringPlace(box, camera);
  const top = toScreen(camera, handlePlace(box, { across: 0, down: -1 }));
  ctx.beginPath();
  ctx.moveTo(top.x, top.y);
  ctx.lineTo(ring.x, ring.y);
  ctx.stroke();
  ctx.beginPath();
  ctx.arc(ring.x, ring.y, 6.5, 0, 2 * Math.PI);
  ctx.fillStyle = "#ffffff";
  ctx.fill();
  ctx.stroke();
  ctx.beginPath();
  ctx.arc(ring.x, ring.y, 2.5, 0, 2 * Math.PI);
  ctx.stroke();
}

/** Where the turning ring stands, CSS pixels. */
export function ringPlace(box: ElementBox, camera: Camera): Place {
  return toScreen(camera, onWall(box, 0, -box.height / 2 - RING_AWAY / camera.scale));
}

/** A band that selects what it touches, CSS pixels. */
export function paintBand(ctx: CanvasRenderingContext2D, from: Place, to: Place, ratio: number) {
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  ctx.fillStyle = "rgb(59 75 163 / 0.12)";
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 1;
  ctx.fillRect(from.x, from.y, to.x - from.x, to.y - from.y);
  ctx.strokeRect(from.x, from.y, to.x - from.x, to.y - from.y);
}

/** A mark where a finding lies. */
export function paintFinding(ctx: CanvasRenderingContext2D, finding: Finding, camera: Camera, ratio: number) {
  if (finding.x == null || finding.y == null) return;
  const at = toScreen(camera, { x: finding.x, y: finding.y });
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  ctx.beginPath();
  ctx.arc(at.x, at.y, 9, 0, 2 * Math.PI);
  ctx.lineWidth = 4;
  ctx.strokeStyle = "#ffffff";
  ctx.stroke();
  ctx.lineWidth = 2;
  ctx.strokeStyle = finding.level === "tip" ? INDIGO : "#b3343a";
  ctx.stroke();
}
