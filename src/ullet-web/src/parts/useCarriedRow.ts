import { useRef, useState, type PointerEvent } from "react";

const SLACK_PX = 5;

/** A row of a list that is dragged on to another, by mouse, pen or finger; rows carry their id as data-row. */
export function useCarriedRow(onDropped: (rowId: string, onId: string) => void) {
  const pressed = useRef<{ id: string; y: number } | null>(null);
  const [carried, setCarried] = useState<string | null>(null);
  const [over, setOver] = useState<string | null>(null);

  const end = () => {
    pressed.current = null;
    setCarried(null);
    setOver(null);
  };

  return {
    carried,
    over,
    down(event: PointerEvent<HTMLElement>, rowId: string, isLocked = false) {
      if (event.button === 0 && !isLocked) pressed.current = { id: rowId, y: event.clientY };
    },
    move(event: PointerEvent<HTMLElement>) {
      const from = pressed.current;
      if (!from) return;
      if (carried === null) {
        if (Math.abs(event.clientY - from.y) < SLACK_PX) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setCarried(from.id);
      }
      setOver(rowAt(event));
    },
    up(event: PointerEvent<HTMLElement>) {
      const on = carried === null ? null : rowAt(event);
      if (carried !== null && on !== null && on !== carried) onDropped(carried, on);
      end();
    },
    cancel: end,
  };
}

/** The row that lies under the pointer, or null. */
function rowAt(event: PointerEvent): string | null {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  return under?.closest<HTMLElement>("[data-row]")?.dataset.row ?? null;
}
