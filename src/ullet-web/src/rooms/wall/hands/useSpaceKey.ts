import { useEffect, useRef } from "react";

/** True while the space bar is held: a drag pans then. */
export function useSpaceKey() {
  const held = useRef(false);
  useEffect(() => {
    const onSpace = (event: KeyboardEvent) => {
      if (event.code === "Space") held.current = event.type === "keydown";
    };
    window.addEventListener("keydown", onSpace);
    window.addEventListener("keyup", onSpace);
    return () => {
      window.removeEventListener("keydown", onSpace);
      window.removeEventListener("keyup", onSpace);
    };
  }, []);
  return held;
}
