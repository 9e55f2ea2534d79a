import { useRef, useState, type PointerEvent } from "react";
import type { Element } from "../../api/client";

const SLACK_PX = 5;

/** A row of the stack that is dragged on to another, by mouse, pen or finger. */
export function useCarriedRow(onDropped: (elementId: string, onId: string) => void) {
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
    down(event: PointerEvent<HTMLElement>, element: Element) {
      if (event.button === 0 && !element.isLocked) pressed.current = { id: element.id, y: event.clientY };
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

/** The element whose row lies under the pointer, or null. */
function rowAt(event: PointerEvent): string | null {
  const under = document.elementFromPoint(event.clientX, event.clientY);
  return under?.closest<HTMLElement>("[data-element]")?.dataset.element ?? null;
}
