import { useEffect, useEffectEvent } from "react";
import type { Cutter } from "./useCutter";

const FRAME_MS = 1800;
const CUT_MS = 6000;

/** Moves the knife: round the frame, or along all lines; at once where reduced motion is asked for. */
export function useFilm(cutter: Cutter) {
  const { stage, setStage, finish } = cutter;
  const moving = stage.doing === "frame" || stage.doing === "cutting" ? stage.doing : null;
  const run = moving && stage.doing !== "waiting" ? stage.run : null;

  // The film runs from its start to its end; each of its pictures is no reason to begin again.
  const show = useEffectEvent((doing: "frame" | "cutting", by: NonNullable<typeof run>, share: number) => {
    if (share >= 1) finish(doing, 1, by);
    else setStage({ doing, run: by, share });
  });

  useEffect(() => {
    if (!moving || !run) return;
    const calm = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    const whole = moving === "frame" ? FRAME_MS : CUT_MS;
    let asked = 0;
    let start: number | null = null;
    const tick = (time: number) => {
      start ??= time;
      const share = calm ? 1 : Math.min(1, (time - start) / whole);
      show(moving, run, share);
      if (share < 1) asked = requestAnimationFrame(tick);
    };
    asked = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(asked);
  }, [moving, run]);
}
