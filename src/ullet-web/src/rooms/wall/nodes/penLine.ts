import type { Edit } from "../../../api/client";
import { apply, toScreen, type Camera, type Place } from "../../../canvas/camera";

/** A node that the pen has set. */
export interface PenNode {
  at: Place;
  in: Place;
  out: Place;
}

type DrawnLine = Extract<Edit, { edit: "drawLine" }>["line"];

const INDIGO = "#3b4ba3";

/** The nodes as a drawn line; where handles were pulled they are of one length. */
export function lineOf(nodes: PenNode[], closed: boolean): DrawnLine {
  const first = nodes[0] ?? { at: { x: 0, y: 0 }, in: { x: 0, y: 0 }, out: { x: 0, y: 0 } };
  const ends = closed ? [...nodes.slice(1), first] : nodes.slice(1);
  return {
    startX: first.at.x,
    startY: first.at.y,
    curves: ends.map((to, i) => {
      const from = nodes[i] ?? first;
      return {
        x1: from.out.x,
        y1: from.out.y,
        x2: to.in.x,
        y2: to.in.y,
        x: to.at.x,
        y: to.at.y,
        node: to.in.x === to.at.x && to.in.y === to.at.y ? "corner" : "symmetric",
      };
    }),
  };
}

/** The line so far, with a stretch to where the pointer is. */
export function paintPen(
  ctx: CanvasRenderingContext2D,
  nodes: PenNode[],
  pointer: Place | null,
  camera: Camera,
  ratio: number,
) {
  const [first] = nodes;
  const last = nodes[nodes.length - 1];
  if (!first || !last) return;
  apply(ctx, camera, ratio);
  const path = new Path2D();
  path.moveTo(first.at.x, first.at.y);
  nodes.slice(1).forEach((to, i) => {
    const from = nodes[i] ?? first;
    path.bezierCurveTo(from.out.x, from.out.y, to.in.x, to.in.y, to.at.x, to.at.y);
  });
  stroke(ctx, path, camera);
  if (pointer) {
    const ahead = new Path2D();
    ahead.moveTo(last.at.x, last.at.y);
    ahead.bezierCurveTo(last.out.x, last.out.y, pointer.x, pointer.y, pointer.x, pointer.y);
    ctx.setLineDash([4 / camera.scale, 4 / camera.scale]);
    stroke(ctx, ahead, camera);
    ctx.setLineDash([]);
  }
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  for (const [i, node] of nodes.entries()) {
    const at = toScreen(camera, node.at);
    ctx.beginPath();
    ctx.rect(at.x - 4.5, at.y - 4.5, 9, 9);
    ctx.fillStyle = i === 0 ? "#d98a00" : "#ffffff";
    ctx.fill();
    ctx.strokeStyle = INDIGO;
    ctx.lineWidth = 1.5;
    ctx.stroke();
  }
}

/** The line under a drawing hand. */
export function paintHand(ctx: CanvasRenderingContext2D, points: Place[], camera: Camera, ratio: number) {
  apply(ctx, camera, ratio);
  const path = new Path2D();
  points.forEach((point, i) => (i ? path.lineTo(point.x, point.y) : path.moveTo(point.x, point.y)));
  stroke(ctx, path, camera);
}

/** What a lasso went round, faintly filled. */
export function paintLasso(ctx: CanvasRenderingContext2D, places: number[], camera: Camera, ratio: number) {
  apply(ctx, camera, ratio);
  const path = new Path2D();
  for (let i = 0; i + 1 < places.length; i += 2) {
    const [x, y] = [places[i] ?? 0, places[i + 1] ?? 0];
    if (i) path.lineTo(x, y);
    else path.moveTo(x, y);
  }
  path.closePath();
  ctx.fillStyle = "rgba(59, 75, 163, 0.14)";
  ctx.fill(path);
  ctx.setLineDash([7 / camera.scale, 4 / camera.scale]);
  stroke(ctx, path, camera);
  ctx.setLineDash([]);
}

function stroke(ctx: CanvasRenderingContext2D, path: Path2D, camera: Camera) {
  ctx.lineCap = "round";
  ctx.strokeStyle = "#ffffff";
  ctx.lineWidth = 4 / camera.scale;
  ctx.stroke(path);
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 1.8 / camera.scale;
  ctx.stroke(path);
}
