import { shaded } from "./colours";

/** Thread lies this wide on the cloth, mm. */
const WIDTH = 0.42;

interface ThreadPaths {
  whole: Path2D;
  sheen: Path2D;
  gaps: Path2D;
}

const paths = new WeakMap<Float32Array, ThreadPaths>();

/** Draws needle points as thread: a dark edge, the body, the shadow between strokes and a lit middle. In mm. */
export function drawThread(ctx: CanvasRenderingContext2D, points: Float32Array, colour: string) {
  const path = pathsOf(points);
  ctx.lineCap = "round";
  ctx.lineJoin = "round";
  stroke(ctx, path.whole, shaded(colour, -0.34), WIDTH);
  stroke(ctx, path.whole, colour, WIDTH * 0.82);
  ctx.lineCap = "butt";
  stroke(ctx, path.gaps, shaded(colour, -0.3), 0.06);
  stroke(ctx, path.sheen, shaded(colour, 0.42), 0.1);
}

/** Draws needle points as one plain line, for drawings that move. */
export function drawPlainThread(ctx: CanvasRenderingContext2D, points: Float32Array, colour: string) {
  stroke(ctx, pathsOf(points).whole, colour, WIDTH);
}

function stroke(ctx: CanvasRenderingContext2D, path: Path2D, colour: string, width: number) {
  ctx.strokeStyle = colour;
  ctx.lineWidth = width;
  ctx.stroke(path);
}

function pathsOf(points: Float32Array): ThreadPaths {
  let made = paths.get(points);
  if (!made) {
    made = { whole: new Path2D(), sheen: new Path2D(), gaps: new Path2D() };
    build(points, made);
    paths.set(points, made);
  }
  return made;
}

function build(points: Float32Array, path: ThreadPaths) {
  let fresh = true;
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [points[i] ?? NaN, points[i + 1] ?? NaN];
    if (Number.isNaN(x)) {
      fresh = true;
      continue;
    }
    if (fresh) {
      path.whole.moveTo(x, y);
      fresh = false;
      continue;
    }
    path.whole.lineTo(x, y);
    light(path, points[i - 2] ?? x, points[i - 1] ?? y, x, y);
  }
}

/** The lit middle of one stroke, and the shadow along its side. */
function light(path: ThreadPaths, x0: number, y0: number, x1: number, y1: number) {
  const [dx, dy] = [x1 - x0, y1 - y0];
  const length = Math.hypot(dx, dy);
  if (length < 0.5) return;
  const [sx, sy] = [(-dy / length) * 0.05, (dx / length) * 0.05];
  const [from, to] = length > 1.6 ? [0.34, 0.62] : [0.2, 0.75];
  path.sheen.moveTo(x0 + dx * from - sx, y0 + dy * from - sy);
  path.sheen.lineTo(x0 + dx * to - sx, y0 + dy * to - sy);
  path.gaps.moveTo(x0 + sx * 3, y0 + sy * 3);
  path.gaps.lineTo(x1 + sx * 3, y1 + sy * 3);
}
