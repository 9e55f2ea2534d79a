import { useEffect } from "react";
import type { WallView } from "../view/WallView";

/** The wheel, or two fingers on a pad: zooms at the pointer. */
export function useWheel(view: WallView | null) {
  useEffect(() => {
    const holder = view
      ? document.querySelector<HTMLElement>('[aria-label="Wall"][role="application"]')
      : null;
    if (!view || !holder) return;
    // React's wheel listener is passive; zooming must keep the page where it is.
    const onWheel = (event: WheelEvent) => {
      event.preventDefault();
      const box = holder.getBoundingClientRect();
      const step = event.ctrlKey ? 0.01 : 0.0015;
      view.zoom(Math.exp(-event.deltaY * step), { x: event.clientX - box.left, y: event.clientY - box.top });
    };
    holder.addEventListener("wheel", onWheel, { passive: false });
    return () => holder.removeEventListener("wheel", onWheel);
  }, [view]);
}
