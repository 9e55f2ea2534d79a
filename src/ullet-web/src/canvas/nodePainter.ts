import type { Detail, WallNode } from "../api/client";
import type { NodeRef } from "../state/view";
import { apply, toScreen, type Camera, type Place } from "./camera";

const INDIGO = "#3b4ba3";

/** What a hand has got hold of among the nodes. */
export type NodeGrip =
  | { kind: "node"; at: NodeRef }
  | { kind: "handle"; at: NodeRef; isOut: boolean }
  | { kind: "stretch"; line: number; stretch: number; t: number };

const REACH = 8;

/** The node, handle or stretch under a place of the screen; handles only of chosen nodes. */
export function nodeGripAt(form: Detail, chosen: NodeRef[], camera: Camera, at: Place): NodeGrip | null {
  const near = (place: Place) => {
    const on = toScreen(camera, place);
    return Math.hypot(on.x - at.x, on.y - at.y) <= REACH;
  };
  for (const [l, line] of form.lines.entries())
    for (const [n, node] of line.nodes.entries()) {
      if (!isChosen(chosen, l, n)) continue;
      if (bends(node, "out") && near(place(node.out)))
        return { kind: "handle", at: { line: l, node: n }, isOut: true };
      if (bends(node, "in") && near(place(node.in)))
        return { kind: "handle", at: { line: l, node: n }, isOut: false };
    }
  for (const [l, line] of form.lines.entries())
    for (const [n, node] of line.nodes.entries())
      if (near(place(node.at))) return { kind: "node", at: { line: l, node: n } };
  return stretchAt(form, camera, at);
}

/** Draws lines, nodes and the handles of the chosen ones. */
export function paintNodes(
  ctx: CanvasRenderingContext2D,
  form: Detail,
  chosen: NodeRef[],
  camera: Camera,
  ratio: number,
) {
  apply(ctx, camera, ratio);
  const px = 1 / camera.scale;
  for (const [color, width] of [
    ["#ffffff", 3],
    [INDIGO, 1.4],
  ] as const) {
    ctx.strokeStyle = color;
    ctx.lineWidth = width * px;
    for (const line of form.lines) ctx.stroke(pathOf(line));
  }
  ctx.setTransform(ratio, 0, 0, ratio, 0, 0);
  const all = form.lines.flatMap((line, l) =>
    line.nodes.map((node, n) => ({ node, held: isChosen(chosen, l, n) })),
  );
  // The chosen ones last, so that no neighbour hides them.
  for (const { node, held } of [...all.filter((each) => !each.held), ...all.filter((each) => each.held)])
    paintNode(ctx, node, held, camera);
}

function paintNode(ctx: CanvasRenderingContext2D, node: WallNode, held: boolean, camera: Camera) {
  const at = toScreen(camera, place(node.at));
  if (held)
    for (const side of ["in", "out"] as const)
      if (bends(node, side)) paintHandle(ctx, at, toScreen(camera, place(node[side])));
  const half = held ? 6 : 4.5;
  ctx.beginPath();
  if (node.kind === "corner") ctx.rect(at.x - half, at.y - half, 2 * half, 2 * half);
  else if (node.kind === "smooth") ctx.arc(at.x, at.y, half + 0.5, 0, 2 * Math.PI);
  else diamond(ctx, at, half + 2);
  ctx.fillStyle = held ? INDIGO : "#ffffff";
  ctx.fill();
  ctx.strokeStyle = held ? "#ffffff" : INDIGO;
  ctx.lineWidth = 1.5;
  ctx.stroke();
}

/** The form with a node or a handle where a hand has taken it, for the time of the drag. */
export function carried(form: Detail, grip: NodeGrip, chosen: NodeRef[], by: Place): Detail {
  const moved = (at: { x?: number; y?: number }) => ({ x: (at.x ?? 0) + by.x, y: (at.y ?? 0) + by.y });
  return {
    ...form,
    lines: form.lines.map((line, l) => ({
      ...line,
      nodes: line.nodes.map((node, n) => {
        if (grip.kind === "handle" && grip.at.line === l && grip.at.node === n)
          return grip.isOut ? { ...node, out: moved(node.out) } : { ...node, in: moved(node.in) };
        if (grip.kind === "node" && isChosen(chosen, l, n))
          return { ...node, at: moved(node.at), in: moved(node.in), out: moved(node.out) };
        return node;
      }),
    })),
  };
}

export const isChosen = (chosen: NodeRef[], line: number, node: number) =>
  chosen.some((each) => each.line === line && each.node === node);

export const place = (point: { x?: number; y?: number }): Place => ({ x: point.x ?? 0, y: point.y ?? 0 });

function bends(node: WallNode, side: "in" | "out"): boolean {
  const [at, handle] = [place(node.at), place(node[side])];
  return Math.hypot(at.x - handle.x, at.y - handle.y) > 1e-6;
}

function pathOf(line: Detail["lines"][number]): Path2D {
  const path = new Path2D();
  const first = line.nodes[0];
  if (!first) return path;
  const start = place(first.at);
  path.moveTo(start.x, start.y);
  const count = line.nodes.length;
  for (let i = 0; i < (line.isClosed ? count : count - 1); i++) {
    const [from, to] = [line.nodes[i], line.nodes[(i + 1) % count]];
    if (!from || !to) continue;
    const [a, b, c] = [place(from.out), place(to.in), place(to.at)];
    path.bezierCurveTo(a.x, a.y, b.x, b.y, c.x, c.y);
  }
  return path;
}

/** The stretch under a place, looked for on the drawing that is shown. */
function stretchAt(form: Detail, camera: Camera, at: Place): NodeGrip | null {
  const STEPS = 24;
  let best: NodeGrip | null = null;
  let nearest = REACH;
  for (const [l, line] of form.lines.entries()) {
    const count = line.nodes.length;
    for (let i = 0; i < (line.isClosed ? count : count - 1); i++) {
      const [from, to] = [line.nodes[i], line.nodes[(i + 1) % count]];
      if (!from || !to) continue;
      for (let k = 1; k < STEPS; k++) {
        const t = k / STEPS;
        const on = toScreen(camera, along(from, to, t));
        const away = Math.hypot(on.x - at.x, on.y - at.y);
        if (away < nearest) {
          nearest = away;
          best = { kind: "stretch", line: l, stretch: i, t };
        }
      }
    }
  }
  return best;
}

function along(from: WallNode, to: WallNode, t: number): Place {
  const [p, a, b, q] = [place(from.at), place(from.out), place(to.in), place(to.at)];
  const u = 1 - t;
  const mix = (w: number, x: number, y: number, z: number) =>
    u * u * u * w + 3 * u * u * t * x + 3 * u * t * t * y + t * t * t * z;
  return { x: mix(p.x, a.x, b.x, q.x), y: mix(p.y, a.y, b.y, q.y) };
}

function paintHandle(ctx: CanvasRenderingContext2D, at: Place, to: Place) {
  ctx.beginPath();
  ctx.moveTo(at.x, at.y);
  ctx.lineTo(to.x, to.y);
  ctx.strokeStyle = INDIGO;
  ctx.lineWidth = 1;
  ctx.stroke();
  ctx.beginPath();
  ctx.arc(to.x, to.y, 4, 0, 2 * Math.PI);
  ctx.fillStyle = "#d98a00";
  ctx.fill();
  ctx.strokeStyle = "#ffffff";
  ctx.stroke();
}

function diamond(ctx: CanvasRenderingContext2D, at: Place, half: number) {
  ctx.moveTo(at.x, at.y - half);
  ctx.lineTo(at.x + half, at.y);
  ctx.lineTo(at.x, at.y + half);
  ctx.lineTo(at.x - half, at.y);
  ctx.closePath();
}
