import { useEffect, useRef, type MouseEvent, type PointerEvent } from "react";
import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import { dragged, turnedTo } from "../../../canvas/boxes";
import { toWorld, type Place } from "../../../canvas/camera";
import { around, caught, caughtPlace, type Rect } from "../../../canvas/guides";
import { elementAt, elementsIn, free, gripAt, letterAt, withGroup } from "../../../canvas/hitTest";
import { useView } from "../../../state/view";
import { useNodeHands } from "../nodes/useNodeHands";
import { usePenHands } from "../nodes/usePenHands";
import { lockedProportions } from "../card/proportions";
import { usePinch } from "./usePinch";
import { editOf, type Work } from "./wallWork";
import type { WallView } from "../view/WallView";

const SLACK_PX = 3;

/** Within so many CSS pixels a drag is caught by a guide. */
const CATCH_PX = 6;

/** What pointers do on the wall. The drawing is moved while a hand drags; the edit goes when it lets go. */
export function useWallHands(projectId: string, view: WallView | null, scene: Scene) {
  const edits = useEdits(projectId);
  const work = useRef<Work | null>(null);
  const space = useRef(false);
  const { selection, select, letter, chooseLetter, tool, setMeasured } = useView();
  const pinch = usePinch(view);
  const nodeHands = useNodeHands(projectId, view, scene);
  const penHands = usePenHands(projectId, view, scene);

  useEffect(() => {
    if (!view) return;
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

  const letGo = () => {
    work.current = null;
    view?.setBand(null);
    view?.cancelDrag();
    view?.whenLetGo(null);
  };

  const begin = (next: Work) => {
    work.current = next;
    view?.whenLetGo(letGo);
  };

  const field = (): Rect => {
    const { fieldWidth: w, fieldHeight: h } = scene.hooping;
    return { x: -w / 2, y: -h / 2, width: w, height: h };
  };

  /** A place for the measure: caught by the outlines' edges and middles. */
  const measuring = (at: Place): Place => {
    if (!view) return at;
    const boxes = scene.elements.filter((element) => !element.isHidden).map((element) => element.outline);
    return caughtPlace(toWorld(view.camera, at), [...boxes, field()], CATCH_PX / view.camera.scale);
  };

  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    if (!view) return;
    const at = place(event);
    event.currentTarget.setPointerCapture(event.pointerId);
    if (pinch.down(event.pointerId, at, event.pointerType)) {
      letGo();
      return;
    }
    if (event.button === 1 || (event.button === 0 && space.current)) {
      begin({ kind: "pan", last: at });
      return;
    }
    if (event.button !== 0) return;
    if (penHands.down(event, at) || nodeHands.down(event, at)) return;
    if (nodeHands.working) {
      useView.getState().chooseNodes([]);
      return;
    }
    if (tool === "measure") {
      const from = measuring(at);
      setMeasured({ from, to: from });
      begin({ kind: "measure", from });
      return;
    }
    const only =
      selection.length === 1 ? scene.elements.find((element) => element.id === selection[0]) : undefined;
    const grip = only && !only.isLocked ? gripAt(only, view.camera, at) : null;
    if (only && grip) {
      begin(
        grip.kind === "ring"
          ? { kind: "turn", element: only, now: only.box }
          : { kind: "scale", element: only, handle: grip.handle, now: only.box },
      );
      return;
    }
    if (only && letter !== null && letterAt(only, view.camera, at) === letter) {
      begin({ kind: "letter", element: only, index: letter, from: at, by: { x: 0, y: 0 } });
      return;
    }
    const hit = elementAt(scene, view.camera, at);
    if (!hit) {
      begin({ kind: "band", from: at, keep: event.shiftKey ? selection : [] });
      return;
    }
    const chosen = selection.includes(hit.id);
    const own = withGroup(scene, hit);
    const ids = chosen ? selection : event.shiftKey ? [...new Set([...selection, ...own])] : own;
    if (!chosen) select(ids);
    begin({
      kind: "press",
      from: at,
      elements: scene.elements.filter((element) => ids.includes(element.id) && free(element)),
      without: chosen && event.shiftKey ? own : null,
      only: chosen && !event.shiftKey && selection.length > own.length ? own : null,
    });
  };

  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    if (pinch.move(event.pointerId, place(event))) return;
    if (penHands.move(place(event)) || nodeHands.move(place(event))) return;
    const now = work.current;
    if (!view || !now) return;
    const at = place(event);
    const world = toWorld(view.camera, at);
    if (now.kind === "pan") {
      view.pan(at.x - now.last.x, at.y - now.last.y);
      now.last = at;
    } else if (now.kind === "band") {
      view.setBand({ from: now.from, to: at });
    } else if (now.kind === "measure") {
      setMeasured({ from: now.from, to: measuring(at) });
    } else if (now.kind === "letter") {
      const start = toWorld(view.camera, now.from);
      now.by = { x: world.x - start.x, y: world.y - start.y };
      view.moveLetter(now.by);
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
      const elements = now.elements;
      const start = toWorld(view.camera, from);
      let [dx, dy] = [world.x - start.x, world.y - start.y];
      const ids = elements.map((element) => element.id);
      const group = around(elements.map((element) => element.outline));
      const others = scene.elements.filter((element) => !element.isHidden && !ids.includes(element.id));
      const guided = event.altKey
        ? { dx: 0, dy: 0, guides: [] }
        : caught(
            { ...group, x: group.x + dx, y: group.y + dy },
            others.map((element) => element.outline),
            field(),
            CATCH_PX / view.camera.scale,
          );
      [dx, dy] = [dx + guided.dx, dy + guided.dy];
      const boxes = new Map(elements.map(({ id, box }) => [id, { ...box, x: box.x + dx, y: box.y + dy }]));
      const exact = { x: guided.dx !== 0, y: guided.dy !== 0 };
      work.current = { kind: "move", from, elements, now: boxes, exact };
      view.move({ ids, boxes, guides: guided.guides });
    }
  };

  const onPointerUp = (event: PointerEvent<HTMLDivElement>) => {
    if (pinch.up(event.pointerId)) return;
    if (!work.current && (penHands.up() || nodeHands.up())) return;
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
    } else if (done.kind === "press") {
      if (done.without) select(selection.filter((id) => !done.without?.includes(id)));
      else if (done.only) select(done.only);
    } else {
      const edit = editOf(done);
      if (!edit) return;
      view.drop();
      void edits.edit(edit).then((ok) => {
        if (!ok) view.cancelDrag();
      });
    }
  };

  /** Into a group: the element alone; into words: the letter. */
  const onDoubleClick = (event: MouseEvent<HTMLDivElement>) => {
    if (!view || tool === "measure") return;
    const at = place(event);
    if (penHands.doubleClick() || nodeHands.doubleClick(at)) return;
    const hit = elementAt(scene, view.camera, at);
    if (!hit) return;
    if (selection.length !== 1 || selection[0] !== hit.id) select([hit.id]);
    chooseLetter(letterAt(hit, view.camera, at));
  };

  /** The right button works on what is under it. */
  const onContextMenu = (event: MouseEvent<HTMLDivElement>) => {
    if (!view || event.button !== 2) return;
    const hit = elementAt(scene, view.camera, place(event));
    if (hit && !selection.includes(hit.id)) select(withGroup(scene, hit));
    if (!hit) select([]);
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

  return {
    onPointerDown,
    onPointerMove,
    onPointerUp,
    onPointerCancel: (event: PointerEvent<HTMLDivElement>) => {
      pinch.up(event.pointerId);
      letGo();
    },
    onDoubleClick,
    onContextMenu,
  };
}
