import { useEffect, useRef, type PointerEvent } from "react";
import { useEdits } from "../../api/edits";
import type { Edit, Element, ElementBox, Scene } from "../../api/client";
import { dragged, turnedTo, type Handle } from "../../canvas/boxes";
import { toWorld, type Place } from "../../canvas/camera";
import { elementAt, elementsIn, gripAt } from "../../canvas/hitTest";
import { useView } from "../../state/view";
import { lockedProportions } from "./proportions";
import type { WallView } from "./WallView";

type Work =
  | { kind: "pan"; last: Place }
  | { kind: "band"; from: Place; keep: string[] }
  | { kind: "press"; from: Place; elements: Element[]; toggles: string | null }
  | { kind: "move"; from: Place; elements: Element[]; now: Map<string, ElementBox> }
  | { kind: "scale"; element: Element; handle: Handle; now: ElementBox }
  | { kind: "turn"; element: Element; now: ElementBox };

const SLACK_PX = 3;

/** What pointers do on the wall. The drawing is moved while a hand drags; the edit goes when it lets go. */
export function useWallHands(projectId: string, view: WallView | null, scene: Scene) {
  const edits = useEdits(projectId);
  const work = useRef<Work | null>(null);
  const space = useRef(false);
  const { selection, select } = useView();

  useEffect(() => {
    if (!view) return;
    view.whenLetGo(() => {
      work.current = null;
      view.setBand(null);
      view.cancelDrag();
      view.whenLetGo(null);
    });
    view.whenLetGo(null);
    const onSpace = (event: KeyboardEvent) => {
      if (event.code === "Space") space.current = event.type === "keydown";
    };
    window.addEventListener("keydown", onSpace);
    window.addEventListener("keyup", onSpace);
    return () => {
      window.removeEventListener("keydown", onSpace);
      window.removeEventListener("keyup", onSpace);
    };
  }, [view]);

  const place = (event: { clientX: number; clientY: number; currentTarget: HTMLElement }): Place => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };

  const begin = (next: Work) => {
    work.current = next;
    view?.whenLetGo(() => {
      work.current = null;
      view.setBand(null);
      view.cancelDrag();
      view.whenLetGo(null);
    });
  };

  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    if (!view) return;
    const at = place(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    if (event.button === 1 || (event.button === 0 && space.current)) {
      begin({ kind: "pan", last: at });
      return;
    }
    if (event.button !== 0) return;
    const only =
      selection.length === 1 ? scene.elements.find((element) => element.id === selection[0]) : undefined;
    const grip = only ? gripAt(only, view.camera, at) : null;
    if (only && grip) {
      begin(
        grip.kind === "ring"
          ? { kind: "turn", element: only, now: only.box }
          : { kind: "scale", element: only, handle: grip.handle, now: only.box },
      );
      return;
    }
    const hit = elementAt(scene, view.camera, at);
    if (!hit) {
      begin({ kind: "band", from: at, keep: event.shiftKey ? selection : [] });
      return;
    }
    const chosen = selection.includes(hit.id);
    const ids = chosen ? selection : event.shiftKey ? [...selection, hit.id] : [hit.id];
    if (!chosen) select(ids);
    begin({
      kind: "press",
      from: at,
      elements: scene.elements.filter((element) => ids.includes(element.id)),
      toggles: chosen ? (event.shiftKey ? hit.id : selection.length > 1 ? "only:" + hit.id : null) : null,
    });
  };

  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    const now = work.current;
    if (!view || !now) return;
    const at = place(event);
    const world = toWorld(view.camera, at);
    if (now.kind === "pan") {
      view.pan(at.x - now.last.x, at.y - now.last.y);
      now.last = at;
    } else if (now.kind === "band") {
      view.setBand({ from: now.from, to: at });
    } else if (now.kind === "scale") {
      const keep = lockedProportions.get() !== event.shiftKey;
      now.now = dragged(now.element.box, now.handle, world, keep);
      view.move({ ids: [now.element.id], boxes: new Map([[now.element.id, now.now]]) });
    } else if (now.kind === "turn") {
      now.now = { ...now.element.box, rotation: turnedTo(now.element.box, world, event.altKey) };
      view.move({ ids: [now.element.id], boxes: new Map([[now.element.id, now.now]]) });
    } else {
      const from = now.from;
      if (now.kind === "press" && Math.hypot(at.x - from.x, at.y - from.y) < SLACK_PX) return;
      const start = toWorld(view.camera, from);
      const boxes = new Map(
        now.elements.map(({ id, box }) => [
          id,
          { ...box, x: box.x + world.x - start.x, y: box.y + world.y - start.y },
        ]),
      );
      work.current = { kind: "move", from, elements: now.elements, now: boxes };
      view.move({ ids: now.elements.map((element) => element.id), boxes });
    }
  };

  const onPointerUp = (event: PointerEvent<HTMLDivElement>) => {
    const done = work.current;
    work.current = null;
    view?.whenLetGo(null);
    if (!view || !done) return;
    if (done.kind === "band") {
      view.setBand(null);
      const at = place(event);
      const touched =
        Math.hypot(at.x - done.from.x, at.y - done.from.y) < SLACK_PX
          ? []
          : elementsIn(scene, view.camera, done.from, at);
      select([...new Set([...done.keep, ...touched])]);
    } else if (done.kind === "press" && done.toggles) {
      const toggles = done.toggles;
      select(toggles.startsWith("only:") ? [toggles.slice(5)] : selection.filter((id) => id !== toggles));
    } else {
      const edit = editOf(done);
      if (!edit) return;
      view.drop();
      void edits.edit(edit).then((ok) => {
        if (!ok) view.cancelDrag();
      });
    }
  };

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

  return { onPointerDown, onPointerMove, onPointerUp };
}

/** The edit that a finished drag stands for; null when nothing moved. */
function editOf(done: Work): Edit | null {
  const tenth = (value: number) => Math.round(value * 10) / 10;
  if (done.kind === "move") {
    const first = done.elements[0];
    const to = first && done.now.get(first.id);
    if (!first || !to) return null;
    return {
      edit: "moveElements",
      elementIds: done.elements.map((element) => element.id),
      x: tenth(to.x - first.box.x),
      y: tenth(to.y - first.box.y),
    };
  }
  if (done.kind === "scale" && done.now !== done.element.box) {
    const { x, y, width, height } = done.now;
    return {
      edit: "placeElement",
      elementId: done.element.id,
      x,
      y,
      width: tenth(width),
      height: tenth(height),
      keepProportions: false,
    };
  }
  if (done.kind === "turn" && done.now.rotation !== done.element.box.rotation)
    return {
      edit: "placeElement",
      elementId: done.element.id,
      rotation: done.now.rotation,
      keepProportions: false,
    };
  return null;
}
