import type { ElementBox, Finding } from "../api/client";
import type { Element } from "../api/elements";
import { HANDLES, handlePlace, onWall } from "./boxes";
import { apply, toScreen, type Camera, type Place } from "./camera";
import { makingOf } from "./makings";

const INDIGO = "#3b4ba3";

/** How far above a box its turning ring stands, CSS pixels. */
export const RING_AWAY = 26;

/** The lines of what is selected, over its picture. */
export function paintMarks(ctx: CanvasRenderingContext2D, element: Element, camera: Camera, ratio: number) {
  apply(ctx, camera, ratio);
  makingOf(element).mark(ctx, element, 1 / camera.scale);
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
