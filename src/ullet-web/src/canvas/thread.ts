import { shaded } from "./colours";
import { Crossings } from "./crossings";

/** Thread lies this wide on the cloth, mm. */
const WIDTH = 0.42;

/** A few strokes painted in one go. */
interface Chunk {
  /** The dark edge. */
  edge: Path2D;
  whole: Path2D;
  /** The lit side of strokes that lie across the light, and of those that lie along it. */
  bright: Path2D;
  faint: Path2D;
  /** From afar a short lit middle is what shows single strokes. */
  sheen: Path2D;
  gaps: Path2D;
  /** The turns of the yarn, made when they are first seen. */
  twist: Path2D | null;
  first: number;
  end: number;
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Strokes painted in one go; what is sewn later is painted later, and lies on top. */
const CHUNK_POINTS = 150;

/** So many strokes of the chunk before are painted again: its first strokes' edges would lie on them. */
const AGAIN = 4;

/** From this scale on the turns of the yarn are seen, device pixels to the mm. */
const CLOSE = 16;

/** From this scale on strokes are wide enough for a soft light along them. */
const NEAR = 9;

/** Light falls from the left and above. */
const LIGHT = { x: -0.6, y: -0.8 };

/** Where along a chunk's first stroke its dark edge begins. */
const BEGIN = 0.12;

/** Distance of the yarn's turns, mm. */
const TURN = 0.3;

const chunks = new WeakMap<Float32Array, Chunk[]>();

/** Draws needle points as thread, in mm: a dark edge, the body, the shadow between strokes, a soft light along the side that faces
 * it; close up the turns of the yarn. What lies out of sight is left out. */
export function drawThread(ctx: CanvasRenderingContext2D, points: Float32Array, colour: string) {
  ctx.lineJoin = "round";
  const [edge, gap, turns] = [shaded(colour, -0.34), shaded(colour, -0.28), shaded(colour, -0.2)];
  const [bright, faint, soft] = [shaded(colour, 0.24), shaded(colour, 0.1), shaded(colour, 0.08)];
  const seen = sightOf(ctx);
  for (const chunk of chunksOf(points)) {
    if (
      chunk.left > seen.right ||
      chunk.right < seen.left ||
      chunk.top > seen.bottom ||
      chunk.bottom < seen.top
    )
      continue;
    ctx.lineCap = "round";
    stroke(ctx, chunk.edge, edge, WIDTH);
    stroke(ctx, chunk.whole, colour, WIDTH * 0.82);
    ctx.lineCap = "butt";
    if (seen.isClose) stroke(ctx, (chunk.twist ??= twistOf(points, chunk)), turns, 0.045);
    stroke(ctx, chunk.gaps, gap, 0.06);
    if (!seen.isNear) {
      stroke(ctx, chunk.sheen, bright, 0.14);
      continue;
    }
    stroke(ctx, chunk.faint, faint, 0.12);
    stroke(ctx, chunk.bright, soft, 0.2);
    stroke(ctx, chunk.bright, bright, 0.08);
  }
}

function stroke(ctx: CanvasRenderingContext2D, path: Path2D, colour: string, width: number) {
  ctx.strokeStyle = colour;
  ctx.lineWidth = width;
  ctx.stroke(path);
}

/** What of the drawing a canvas shows, mm, and whether it is seen from near. */
function sightOf(ctx: CanvasRenderingContext2D) {
  const at = ctx.getTransform();
  const back = at.inverse();
  const { width, height } = ctx.canvas;
  const corners = [
    new DOMPoint(0, 0),
    new DOMPoint(width, 0),
    new DOMPoint(0, height),
    new DOMPoint(width, height),
  ].map((corner) => corner.matrixTransform(back));
  const [xs, ys] = [corners.map((corner) => corner.x), corners.map((corner) => corner.y)];
  return {
    left: Math.min(...xs) - WIDTH,
    right: Math.max(...xs) + WIDTH,
    top: Math.min(...ys) - WIDTH,
    bottom: Math.max(...ys) + WIDTH,
    isNear: Math.hypot(at.a, at.b) > NEAR,
    isClose: Math.hypot(at.a, at.b) > CLOSE,
  };
}

function chunksOf(points: Float32Array): Chunk[] {
  let made = chunks.get(points);
  if (!made) {
    made = build(points);
    chunks.set(points, made);
  }
  return made;
}

function build(points: Float32Array): Chunk[] {
  const made: Chunk[] = [];
  let chunk: Chunk | null = null;
  let joins = false;
  let [lastX, lastY] = [NaN, NaN];
  const laid = new Crossings();
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [points[i] ?? NaN, points[i + 1] ?? NaN];
    const isStroke = !Number.isNaN(x) && !Number.isNaN(lastX);
    const crosses = isStroke && laid.lay(i / 2, lastX, lastY, x, y);
    if (chunk && crosses) {
      // What lies beneath must not shine through what is sewn over it.
      chunk = begun(i);
      joins = false;
      made.push(chunk);
      chunk.whole.moveTo(lastX, lastY);
      chunk.edge.moveTo(lastX, lastY);
      laid.clear();
    } else if (!chunk || i - chunk.first >= CHUNK_POINTS * 2) {
      chunk = begun(i);
      laid.clear();
      joins = !Number.isNaN(lastX);
      made.push(chunk);
      if (!Number.isNaN(lastX)) again(chunk, points, i);
    }
    chunk.end = i + 2;
    if (!Number.isNaN(x)) widen(chunk, x, y);
    if (!Number.isNaN(x) && Number.isNaN(lastX)) {
      chunk.whole.moveTo(x, y);
      chunk.edge.moveTo(x, y);
    } else if (!Number.isNaN(x)) {
      chunk.whole.lineTo(x, y);
      // The first stroke's edge begins a little on: at its very start it would draw over the chunk before.
      if (joins) chunk.edge.moveTo(lastX + (x - lastX) * BEGIN, lastY + (y - lastY) * BEGIN);
      chunk.edge.lineTo(x, y);
      joins = false;
      light(chunk, lastX, lastY, x, y);
    }
    [lastX, lastY] = [x, y];
  }
  return made;
}

/** Begins with the last strokes before a chunk. */
function again(chunk: Chunk, points: Float32Array, i: number) {
  let from = i - 2;
  while (from > Math.max(0, i - 2 * (AGAIN + 1)) && !Number.isNaN(points[from - 2] ?? NaN)) from -= 2;
  for (let k = from; k < i; k += 2) {
    const [x, y] = [points[k] ?? NaN, points[k + 1] ?? NaN];
    if (k === from) chunk.whole.moveTo(x, y);
    else {
      chunk.whole.lineTo(x, y);
      light(chunk, points[k - 2] ?? NaN, points[k - 1] ?? NaN, x, y);
    }
    widen(chunk, x, y);
  }
}

function begun(first: number): Chunk {
  return {
    edge: new Path2D(),
    whole: new Path2D(),
    bright: new Path2D(),
    faint: new Path2D(),
    sheen: new Path2D(),
    gaps: new Path2D(),
    twist: null,
    first,
    end: first,
    left: Infinity,
    top: Infinity,
    right: -Infinity,
    bottom: -Infinity,
  };
}

function widen(chunk: Chunk, x: number, y: number) {
  chunk.left = Math.min(chunk.left, x);
  chunk.right = Math.max(chunk.right, x);
  chunk.top = Math.min(chunk.top, y);
  chunk.bottom = Math.max(chunk.bottom, y);
}

/** The lit side of one stroke, and the shadow along the other. */
function light(chunk: Chunk, x0: number, y0: number, x1: number, y1: number) {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const length = Math.hypot(dx, dy);
  if (length < 0.5) return;
  // The side that faces the light.
  const facing = (-dy * LIGHT.x + dx * LIGHT.y) / length;
  const side = facing < 0 ? -1 : 1;
  const [sx, sy] = [(-dy / length) * side, (dx / length) * side];
  // Each stroke catches the light a little elsewhere, the same each time it is drawn.
  const stray = Math.abs(Math.sin(x0 * 12.9898 + y0 * 78.233) * 43758.5453) % 1;
  const [from, to] = [0.1 + stray * 0.1, 0.9 - ((stray * 7) % 1) * 0.1];
  const path = Math.abs(facing) > 0.45 ? chunk.bright : chunk.faint;
  path.moveTo(x0 + dx * from + sx * 0.06, y0 + dy * from + sy * 0.06);
  path.lineTo(x0 + dx * to + sx * 0.06, y0 + dy * to + sy * 0.06);
  const start = length > 1.6 ? 0.26 + stray * 0.14 : 0.2;
  const stop = length > 1.6 ? start + 0.26 + ((stray * 7) % 1) * 0.14 : 0.75;
  chunk.sheen.moveTo(x0 + dx * start + sx * 0.05, y0 + dy * start + sy * 0.05);
  chunk.sheen.lineTo(x0 + dx * stop + sx * 0.05, y0 + dy * stop + sy * 0.05);
  chunk.gaps.moveTo(x0 - sx * 0.15, y0 - sy * 0.15);
  chunk.gaps.lineTo(x1 - sx * 0.15, y1 - sy * 0.15);
}

/** Short slanted lines across strokes: two-ply yarn, twisted to the left as machine thread is. */
function twistOf(points: Float32Array, chunk: Chunk): Path2D {
  const path = new Path2D();
  for (let i = Math.max(2, chunk.first); i < chunk.end; i += 2) {
    const [x0, y0] = [points[i - 2] ?? NaN, points[i - 1] ?? NaN];
    const [dx, dy] = [(points[i] ?? NaN) - x0, (points[i + 1] ?? NaN) - y0];
    const length = Math.hypot(dx, dy);
    if (!(length > TURN)) continue;
    const [ax, ay] = [dx / length, dy / length];
    for (let way = TURN / 2; way < length; way += TURN) {
      const [x, y] = [x0 + ax * way, y0 + ay * way];
      path.moveTo(x - ay * 0.16 - ax * 0.11, y + ax * 0.16 - ay * 0.11);
      path.lineTo(x + ay * 0.16 + ax * 0.11, y - ax * 0.16 + ay * 0.11);
    }
  }
  return path;
}
