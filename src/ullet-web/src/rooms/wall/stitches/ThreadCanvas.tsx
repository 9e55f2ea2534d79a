import { useEffect, useRef } from "react";
import { drawThread } from "../../../canvas/thread";

/** Stitches with the colour of their thread. */
export interface ShownThread {
  /** x, y pairs in mm; pairs of NaN where the thread is cut. */
  points: Float32Array;
  colour: string;
  /** True to draw it faint behind the others. */
  isFaint?: boolean;
}

interface Props {
  threads: ShownThread[];
  label: string;
  /** A needle at a place, mm. */
  needle?: { x: number; y: number } | null;
  className?: string;
}

/** Stitches as thread, as large as there is room. */
export function ThreadCanvas({ threads, label, needle, className }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const shown = canvas.current;
    if (!shown) return;
    const paint = () => {
      const ratio = window.devicePixelRatio || 1;
      const { clientWidth: width, clientHeight: height } = shown;
      shown.width = Math.max(1, Math.round(width * ratio));
      shown.height = Math.max(1, Math.round(height * ratio));
      const ctx = shown.getContext("2d");
      if (!ctx) return;
      const box = boundsOf(threads);
      const scale = Math.min(shown.width / (box.width + 4), shown.height / (box.height + 4));
      ctx.setTransform(
        scale,
        0,
        0,
        scale,
        shown.width / 2 - (box.x + box.width / 2) * scale,
        shown.height / 2 - (box.y + box.height / 2) * scale,
      );
      for (const thread of threads) {
        ctx.globalAlpha = thread.isFaint ? 0.18 : 1;
        drawThread(ctx, thread.points, thread.colour);
      }
      ctx.globalAlpha = 1;
      if (needle) {
        const reach = 7 / (scale / ratio);
        ctx.strokeStyle = "#b3343a";
        ctx.lineWidth = 2 / (scale / ratio);
        ctx.beginPath();
        ctx.moveTo(needle.x - reach, needle.y);
        ctx.lineTo(needle.x + reach, needle.y);
        ctx.moveTo(needle.x, needle.y - reach);
        ctx.lineTo(needle.x, needle.y + reach);
        ctx.stroke();
      }
    };
    paint();
    const watcher = new ResizeObserver(paint);
    watcher.observe(shown);
    return () => watcher.disconnect();
  }, [threads, needle]);
  return <canvas ref={canvas} role="img" aria-label={label} className={className ?? "h-full w-full"} />;
}

function boundsOf(threads: ShownThread[]) {
  let [left, top, right, bottom] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { points } of threads) {
    for (let i = 0; i + 1 < points.length; i += 2) {
      const [x, y] = [points[i] ?? NaN, points[i + 1] ?? NaN];
      if (Number.isNaN(x)) continue;
      [left, top] = [Math.min(left, x), Math.min(top, y)];
      [right, bottom] = [Math.max(right, x), Math.max(bottom, y)];
    }
  }
  return right < left
    ? { x: 0, y: 0, width: 1, height: 1 }
    : { x: left, y: top, width: right - left, height: bottom - top };
}
