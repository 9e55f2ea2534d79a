import { useEffect } from "react";
import { useEdits } from "../../api/edits";
import type { Scene } from "../../api/client";
import { useView } from "../../state/view";
import { wallEvents } from "./wallEvents";

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The wall's keys. Typing in a field is never taken for one. */
export function useWallKeys(projectId: string, scene: Scene | undefined) {
  const edits = useEdits(projectId);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!scene || typing(event)) return;
      const { selection, select } = useView.getState();
      const arrow = ARROWS[event.key];
      const control = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (arrow && selection.length && !control && !inSlider(event)) {
        const by = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
        void edits.edit({ edit: "moveElements", elementIds: selection, x: arrow[0] * by, y: arrow[1] * by });
      } else if ((event.key === "Delete" || event.key === "Backspace") && selection.length) {
        void edits.edit({ edit: "removeElements", elementIds: selection });
      } else if (control && key === "d" && selection.length) {
        const before = scene.elements.map((element) => element.id);
        void wallEvents.adding(projectId, before, () =>
          edits.edit({ edit: "duplicateElements", elementIds: selection }),
        );
      } else if (control && key === "a") {
        select(scene.elements.map((element) => element.id));
      } else if (
        event.key === "Tab" &&
        isWall(event.target) &&
        scene.elements.length &&
        !leaves(event, scene)
      ) {
        select([nextOf(scene, selection[0], event.shiftKey)]);
      } else if (event.key === "Escape") {
        if (!wallEvents.letGo()) select([]);
      } else if (control) {
        return;
      } else if (event.key === "0") {
        wallEvents.fit();
      } else if (event.key === "1") {
        wallEvents.trueSize();
      } else if (event.key === "+" || event.key === "=") {
        wallEvents.zoom(1.25);
      } else if (event.key === "-") {
        wallEvents.zoom(0.8);
      } else {
        return;
      }
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [projectId, scene, edits]);
}

function typing(event: KeyboardEvent): boolean {
  return (
    event.target instanceof HTMLElement &&
    event.target.closest("input, select, textarea, [role=dialog]") !== null
  );
}

function inSlider(event: KeyboardEvent): boolean {
  return event.target instanceof HTMLElement && event.target.closest("[role=slider]") !== null;
}

function isWall(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.getAttribute("role") === "application";
}

/** Past the last piece, Tab goes on to the card: nobody is caught on the wall. */
function leaves(event: KeyboardEvent, scene: Scene): boolean {
  const { selection } = useView.getState();
  const at = scene.elements.findIndex((element) => element.id === selection[0]);
  return event.shiftKey ? at <= 0 : at === scene.elements.length - 1;
}

function nextOf(scene: Scene, id: string | undefined, back: boolean): string {
  const at = scene.elements.findIndex((element) => element.id === id);
  return scene.elements[at + (back ? -1 : 1)]?.id ?? scene.elements[0]?.id ?? "";
}
