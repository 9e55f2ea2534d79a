import { useEffect } from "react";
import type { Cutter } from "./useCutter";

const FRAME_MS = 1800;
const CUT_MS = 6000;

/** Moves the knife: round the frame, or along all lines; at once where reduced motion is asked for. */
export function useFilm(cutter: Cutter) {
  const { stage, setStage, finish } = cutter;
  const moving = stage.doing === "frame" || stage.doing === "cutting" ? stage.doing : null;
  const run = moving && stage.doing !== "waiting" ? stage.run : null;

  useEffect(() => {
    if (!moving || !run) return;
    const calm = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    const whole = moving === "frame" ? FRAME_MS : CUT_MS;
    let asked = 0;
    let start: number | null = null;
    const tick = (time: number) => {
      start ??= time;
      const share = calm ? 1 : Math.min(1, (time - start) / whole);
      if (share >= 1) {
        finish(moving, 1, run);
        return;
      }
      setStage({ doing: moving, run, share });
      asked = requestAnimationFrame(tick);
    };
    asked = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(asked);
    // The film runs from its start to its end; each picture of it is no reason to begin again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [moving, run]);
}
