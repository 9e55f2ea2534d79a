import { useMemo } from "react";
import type { Place } from "../../../canvas/camera";
import type { WallView } from "../view/WallView";

/** Two fingers: the wall is zoomed and moved with them. Each answers true while it takes the pointers for itself. */
export function usePinch(view: WallView | null) {
  return useMemo(() => {
    const fingers = new Map<number, Place>();
    const middle = () => {
      const [a, b] = [...fingers.values()];
      return a && b
        ? { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2, apart: Math.hypot(a.x - b.x, a.y - b.y) }
        : null;
    };
    return {
      down(id: number, at: Place, type: string) {
        if (type === "touch") fingers.set(id, at);
        return fingers.size === 2;
      },
      move(id: number, at: Place) {
        if (!fingers.has(id)) return false;
        const before = middle();
        fingers.set(id, at);
        const after = middle();
        if (!before || !after || !view) return false;
        view.zoom(after.apart / Math.max(before.apart, 1), after);
        view.pan(after.x - before.x, after.y - before.y);
        return true;
      },
      up(id: number) {
        const pinched = fingers.size === 2;
        fingers.delete(id);
        return pinched;
      },
    };
  }, [view]);
}
