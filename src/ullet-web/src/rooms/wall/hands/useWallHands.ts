import { useEffect, useRef, type MouseEvent, type PointerEvent } from "react";
import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import { toWorld, type Place } from "../../../canvas/camera";
import { elementAt, elementsIn, letterAt, withGroup } from "../../../canvas/hitTest";
import { useView } from "../../../state/view";
import { useNodeHands } from "../nodes/useNodeHands";
import { usePenHands } from "../nodes/usePenHands";
import type { WallView } from "../view/WallView";
import { carried, SLACK_PX } from "./carry";
import { grasped } from "./grasp";
import { measuredAt, placeOf } from "./places";
import { usePinch } from "./usePinch";
import { useSpaceKey } from "./useSpaceKey";
import { useWheel } from "./useWheel";
import { editOf, type Work } from "./wallWork";

/** What pointers do on the wall. The drawing is moved while a hand drags; the edit goes when it lets go. */
export function useWallHands(projectId: string, view: WallView | null, scene: Scene) {
  const edits = useEdits(projectId);
  const work = useRef<Work | null>(null);
  const space = useSpaceKey();
  const { selection, select, letter, chooseLetter, tool, setMeasured } = useView();
  const pinch = usePinch(view);
  const nodeHands = useNodeHands(projectId, view, scene);
  const penHands = usePenHands(projectId, view);
  useWheel(view);

  useEffect(() => view?.whenLetGo(null), [view]);

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

  const onPointerDown = (event: PointerEvent<HTMLDivElement>) => {
    if (!view) return;
    const at = placeOf(event);
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
      const from = measuredAt(view, scene, at);
      setMeasured({ from, to: from });
      begin({ kind: "measure", from });
      return;
    }
    if (tool === "direction" && selection[0]) {
      const from = toWorld(view.camera, at);
      const isFilled = scene.elements.some(
        (element) => element.id === selection[0] && element.making.kind === "filled",
      );
      begin(
        isFilled
          ? { kind: "guide", elementId: selection[0], places: [from] }
          : { kind: "direction", elementId: selection[0], from, to: from },
      );
      return;
    }
    const grasp = grasped(scene, view, at, { selection, letter, shift: event.shiftKey });
    if (grasp.pressed) select(grasp.pressed);
    begin(grasp.work);
  };

  const onPointerMove = (event: PointerEvent<HTMLDivElement>) => {
    const at = placeOf(event);
    if (pinch.move(event.pointerId, at)) return;
    if (penHands.move(at) || nodeHands.move(at)) return;
    if (view && work.current) work.current = carried(work.current, at, { view, scene, keys: event });
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
      select([...new Set([...done.keep, ...touchedBy(done.from, placeOf(event))])]);
    } else if (done.kind === "press") {
      if (done.without) select(selection.filter((id) => !done.without?.includes(id)));
      else if (done.only) select(done.only);
    } else {
      const edit = editOf(done);
      if (done.kind === "direction" || done.kind === "guide") setMeasured(null);
      if (!edit) return;
      view.drop();
      void edits.edit(edit).then((ok) => {
        if (!ok) view.cancelDrag();
      });
    }
  };

  /** What a band touches; a mere press touches nothing. */
  const touchedBy = (from: Place, to: Place): string[] =>
    !view || Math.hypot(to.x - from.x, to.y - from.y) < SLACK_PX
      ? []
      : elementsIn(scene, view.camera, from, to);

  /** Into a group: the element alone; into words: the letter. */
  const onDoubleClick = (event: MouseEvent<HTMLDivElement>) => {
    if (!view || tool === "measure" || tool === "direction") return;
    const at = placeOf(event);
    if (penHands.doubleClick() || nodeHands.doubleClick(at)) return;
    const hit = elementAt(scene, view.camera, at);
    if (!hit) return;
    if (selection.length !== 1 || selection[0] !== hit.id) select([hit.id]);
    chooseLetter(letterAt(hit, view.camera, at));
  };

  /** The right button works on what is under it. */
  const onContextMenu = (event: MouseEvent<HTMLDivElement>) => {
    if (!view || event.button !== 2) return;
    const hit = elementAt(scene, view.camera, placeOf(event));
    if (hit && !selection.includes(hit.id)) select(withGroup(scene, hit));
    if (!hit) select([]);
  };

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
