import { useEffect } from "react";
import { useEdits } from "../../../api/edits";
import type { Edit, Scene } from "../../../api/client";
import { isFormed } from "../../../api/elements";
import { useView } from "../../../state/view";
import { useOffers, type OfferId } from "../../../verbs/useOffers";
import { nextLike } from "../card/traits";
import { ask } from "../../../verbs/asks";
import { wallEvents } from "../../../verbs/wallEvents";

const ARROWS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The wall's keys. Typing in a field is never taken for one. */
export function useWallKeys(projectId: string, scene: Scene | undefined) {
  const edits = useEdits(projectId);
  const selection = useView((view) => view.selection);
  const chosen = scene?.elements.filter((element) => selection.includes(element.id)) ?? [];
  const offers = useOffers(projectId, scene, chosen);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!scene || typing(event)) return;
      const { selection, letter, nodes, tool, select, chooseLetter, setTool } = useView.getState();
      const arrow = ARROWS[event.key];
      const control = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      const offer = control
        ? offerOf(key, event.shiftKey)
        : event.key === "Delete" || event.key === "Backspace"
          ? "remove"
          : null;
      if (arrow && selection.length && !control && !inSlider(event) && !inMenu(event)) {
        const by = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
        const [x, y] = [arrow[0] * by, arrow[1] * by];
        const elementId = selection[0];
        if (tool === "nodes" && nodes.length && elementId)
          void edits.edit({ edit: "moveNodes", elementId, nodes, x, y });
        else void edits.edit(nudge(scene, selection, letter, x, y));
      } else if (offer === "remove" && tool === "nodes" && nodes.length && selection[0]) {
        useView.getState().chooseNodes([]);
        void edits.edit({ edit: "removeNodes", elementId: selection[0], nodes });
      } else if (offer) {
        if (!offers[offer].disabled) offers[offer].run();
      } else if (
        event.key === "Tab" &&
        isWall(event.target) &&
        scene.elements.length &&
        !leaves(event, scene)
      ) {
        select([nextOf(scene, selection[0], event.shiftKey)]);
      } else if (event.key === "ContextMenu" || (event.key === "F10" && event.shiftKey)) {
        openMenu();
      } else if (event.key === "Escape") {
        if (wallEvents.letGo()) return;
        if (tool !== "select") setTool("select");
        else if (letter !== null) chooseLetter(null);
        else select([]);
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
      } else if (key === "l" && selection.length === 1) {
        const next = nextLike(scene, selection[0]);
        if (next !== null) select([next]);
      } else if (key === "t") {
        ask("letters");
      } else if (key === "p") {
        select([]);
        setTool(tool === "pen" ? "select" : "pen");
      } else if (key === "n" && selection.length === 1) {
        const only = scene.elements.find((element) => element.id === selection[0]);
        if (only?.isDrawn && !only.isLocked) setTool(tool === "nodes" ? "select" : "nodes");
      } else if (key === "m") {
        setTool(tool === "measure" ? "select" : "measure");
      } else {
        return;
      }
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [projectId, scene, edits, offers]);
}

/** Opens the menu of the selection in the middle of the wall, where no pointer says where. */
function openMenu() {
  const wall = document.querySelector("[role=application]");
  const box = wall?.getBoundingClientRect();
  if (!wall || !box) return;
  const place = { clientX: box.x + box.width / 2, clientY: box.y + box.height / 3 };
  wall.dispatchEvent(new MouseEvent("contextmenu", { bubbles: true, cancelable: true, ...place }));
}

function offerOf(key: string, shift: boolean): OfferId | null {
  const known: Record<string, OfferId> = {
    c: "copy",
    x: "cut",
    v: "paste",
    d: "duplicate",
    a: "all",
    g: shift ? "ungroup" : "group",
  };
  return known[key] ?? null;
}

/** A nudge of what is selected, or of the letter that was chosen. */
function nudge(scene: Scene, selection: string[], letter: number | null, x: number, y: number): Edit {
  const words = scene.elements.find((element) => element.id === selection[0]);
  const letters = words && isFormed(words, "words") ? words.form.letters : [];
  const touched = letters.find((each) => each.index === letter);
  return words && touched && selection.length === 1
    ? { edit: "touchLetter", elementId: words.id, index: touched.index, byX: x, byY: y }
    : { edit: "moveElements", elementIds: selection, x, y };
}

function typing(event: KeyboardEvent): boolean {
  if (!(event.target instanceof HTMLElement)) return false;
  if (event.target.closest("[role=dialog], [role=menu], textarea")) return true;
  // A list and a box to tick take plain keys, but no shortcuts.
  const shortcut = event.ctrlKey || event.metaKey;
  const field = event.target.closest<HTMLInputElement>("input, select");
  return field !== null && !(shortcut && (field.tagName === "SELECT" || field.type === "checkbox"));
}

function inSlider(event: KeyboardEvent): boolean {
  return event.target instanceof HTMLElement && event.target.closest("[role=slider]") !== null;
}

function inMenu(event: KeyboardEvent): boolean {
  return event.target instanceof HTMLElement && event.target.closest("[role=menu]") !== null;
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
