import { useEffect, useRef } from "react";
import type { Rehearsal } from "../../api/client";
import { FilmPainter } from "./FilmPainter";
import type { Position } from "./playback";

/** The hoop as it fills. */
export function HoopFilm({ rehearsal, at }: { rehearsal: Rehearsal; at: Position }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const painter = useRef<FilmPainter | null>(null);
  const position = useRef(at);
  const now = rehearsal.steps[at.step];

  useEffect(() => {
    if (!canvas.current) return;
    const made = new FilmPainter(canvas.current, rehearsal);
    painter.current = made;
    const observer = new ResizeObserver(() => made.resize(position.current));
    observer.observe(canvas.current);
    made.resize(position.current);
    return () => {
      observer.disconnect();
      painter.current = null;
    };
  }, [rehearsal]);

  useEffect(() => {
    position.current = at;
    painter.current?.paint(at);
  }, [at]);

  return (
    <div className="relative min-h-0 min-w-0 flex-1 p-3 max-md:order-last max-md:h-[300px] max-md:flex-none">
      {now && (now.sight.isBack || now.sight.isOut) ? (
        <p className="absolute top-4 left-1/2 -translate-x-1/2 rounded-card border border-line bg-white px-3 py-1 text-[14px]">
          {now.sight.isOut
            ? now.sight.isBack
              ? "Out of the hoop, the inside turned out"
              : "Out of the hoop"
            : "The back of the hoop, turned over sideways"}
        </p>
      ) : null}
      <canvas
        ref={canvas}
        role="img"
        aria-label={`The hoop at step ${at.step + 1}: ${now?.ownerName ?? ""}, ${now?.role ?? ""}`}
        className="size-full"
      />
    </div>
  );
}
