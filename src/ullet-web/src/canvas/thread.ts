import { shaded } from "./colours";

/** Thread lies this wide on the cloth, mm. */
const WIDTH = 0.42;

interface ThreadPaths {
  /** The dark edge; it leaves out a chunk's first stroke, which would draw over the chunk before. */
  edge: Path2D;
  whole: Path2D;
  sheen: Path2D;
  gaps: Path2D;
}

/** Strokes painted in one go; what is sewn later is painted later, and lies on top. */
const CHUNK_POINTS = 300;

const paths = new WeakMap<Float32Array, ThreadPaths[]>();

/** Draws needle points as thread: a dark edge, the body, the shadow between strokes and a lit middle. In mm. */
export function drawThread(ctx: CanvasRenderingContext2D, points: Float32Array, colour: string) {
  ctx.lineJoin = "round";
  const [edge, gap, light] = [shaded(colour, -0.34), shaded(colour, -0.28), shaded(colour, 0.2)];
  for (const path of pathsOf(points)) {
    ctx.lineCap = "round";
    stroke(ctx, path.edge, edge, WIDTH);
    stroke(ctx, path.whole, colour, WIDTH * 0.82);
    ctx.lineCap = "butt";
    stroke(ctx, path.gaps, gap, 0.06);
    stroke(ctx, path.sheen, light, 0.14);
  }
}

function stroke(ctx: CanvasRenderingContext2D, path: Path2D, colour: string, width: number) {
  ctx.strokeStyle = colour;
  ctx.lineWidth = width;
  ctx.stroke(path);
}

function pathsOf(points: Float32Array): ThreadPaths[] {
  let made = paths.get(points);
  if (!made) {
    made = build(points);
    paths.set(points, made);
  }
  return made;
}

function build(points: Float32Array): ThreadPaths[] {
  const chunks: ThreadPaths[] = [];
  let path: ThreadPaths | null = null;
  let joins = false;
  let [lastX, lastY] = [NaN, NaN];
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [points[i] ?? NaN, points[i + 1] ?? NaN];
    if (!path || i % (CHUNK_POINTS * 2) === 0) {
      path = { edge: new Path2D(), whole: new Path2D(), sheen: new Path2D(), gaps: new Path2D() };
      joins = !Number.isNaN(lastX);
      chunks.push(path);
      if (!Number.isNaN(lastX)) path.whole.moveTo(lastX, lastY);
    }
    if (!Number.isNaN(x) && Number.isNaN(lastX)) {
      path.whole.moveTo(x, y);
      path.edge.moveTo(x, y);
    } else if (!Number.isNaN(x)) {
      path.whole.lineTo(x, y);
      if (joins) path.edge.moveTo(x, y);
      else path.edge.lineTo(x, y);
      joins = false;
      light(path, lastX, lastY, x, y);
    }
    [lastX, lastY] = [x, y];
  }
  return chunks;
}

/** The lit middle of one stroke, and the shadow along its side. */
function light(path: ThreadPaths, x0: number, y0: number, x1: number, y1: number) {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const length = Math.hypot(dx, dy);
  if (length < 0.5) return;
  const [sx, sy] = [(-dy / length) * 0.05, (dx / length) * 0.05];
  // Each stroke catches the light a little elsewhere, the same each time it is drawn.
  const stray = Math.abs(Math.sin(x0 * 12.9898 + y0 * 78.233) * 43758.5453) % 1;
  const from = length > 1.6 ? 0.26 + stray * 0.14 : 0.2;
  const to = length > 1.6 ? from + 0.26 + ((stray * 7) % 1) * 0.14 : 0.75;
  path.sheen.moveTo(x0 + dx * from - sx, y0 + dy * from - sy);
  path.sheen.lineTo(x0 + dx * to - sx, y0 + dy * to - sy);
  path.gaps.moveTo(x0 + sx * 3, y0 + sy * 3);
  path.gaps.lineTo(x1 + sx * 3, y1 + sy * 3);
}
