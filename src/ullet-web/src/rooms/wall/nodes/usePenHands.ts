import { useEffect, useRef, type PointerEvent } from "react";
import { useEdits } from "../../../api/edits";
import type { Edit } from "../../../api/client";
import { toScreen, toWorld, type Place } from "../../../canvas/camera";
import { useView } from "../../../state/view";
import type { WallView } from "../view/WallView";
import { lineOf, paintHand, paintLasso, paintPen, type PenNode } from "./penLine";

/** Nearer to the first node than this a click closes the line, CSS pixels. */
const CLOSING = 10;

/** Farther than this a press pulls handles, CSS pixels. */
const PULL = 4;

/** Drawing: with the pen node by node, or by hand in one go. */
export function usePenHands(projectId: string, view: WallView | null) {
  const edits = useEdits(projectId);
  const { tool, setTool } = useView();
  const pen = useRef<PenNode[]>([]);
  const hand = useRef<Place[] | null>(null);
  const pressed = useRef<Place | null>(null);
  const pointer = useRef<Place | null>(null);
  const drawing = tool === "pen" || tool === "freehand" || tool === "lasso";
  const lasso = useView((view) => view.lasso);

  const add = (edit: Edit) => {
    void edits.add(edit);
    setTool("select");
  };

  const finish = (closed: boolean) => {
    const nodes = pen.current;
    pen.current = [];
    pressed.current = null;
    view?.repaint();
    if (nodes.length > 1) add({ edit: "drawLine", line: lineOf(nodes, closed) });
  };

  useEffect(() => {
    if (!view || !drawing) return;
    view.setExtra((ctx, camera, ratio) => {
      if (hand.current) paintHand(ctx, hand.current, camera, ratio);
      else if (lasso) paintLasso(ctx, lasso, camera, ratio);
      paintPen(ctx, pen.current, pressed.current ? null : pointer.current, camera, ratio);
    });
    return () => {
      pen.current = [];
      hand.current = null;
      view.setExtra(null);
    };
  }, [view, drawing, tool, lasso]);

  useEffect(() => {
    if (tool !== "pen") return;
    const onKey = (event: KeyboardEvent) => {
      if (
        event.target instanceof HTMLElement &&
        event.target.closest("input, select, textarea, [role=dialog]")
      )
        return;
      if (event.key === "Enter" && !(event.target instanceof HTMLButtonElement)) finish(false);
      else if (event.key === "Backspace" && pen.current.length) {
        pen.current.pop();
        view?.repaint();
      } else return;
      event.preventDefault();
      event.stopPropagation();
    };
    window.addEventListener("keydown", onKey, true);
    return () => window.removeEventListener("keydown", onKey, true);
  });

  /** True when the pointer was taken. */
  const down = (event: PointerEvent, at: Place): boolean => {
    if (!view || !drawing || event.button !== 0) return false;
    const world = toWorld(view.camera, at);
    if (tool !== "pen") {
      hand.current = [world];
      return true;
    }
    const first = pen.current[0];
    if (first && pen.current.length > 1) {
      const on = toScreen(view.camera, first.at);
      if (Math.hypot(on.x - at.x, on.y - at.y) < CLOSING) {
        finish(true);
        return true;
      }
    }
    pen.current.push({ at: world, out: world, in: world });
    pressed.current = at;
    view.repaint();
    return true;
  };

  const move = (at: Place): boolean => {
    if (!view || !drawing) return false;
    const world = toWorld(view.camera, at);
    pointer.current = world;
    const from = pressed.current;
    const last = pen.current[pen.current.length - 1];
    if (hand.current) hand.current.push(world);
    else if (from && last && Math.hypot(at.x - from.x, at.y - from.y) > PULL) {
      last.out = world;
      last.in = { x: 2 * last.at.x - world.x, y: 2 * last.at.y - world.y };
    }
    view.repaint();
    return hand.current !== null || from !== null;
  };

  const up = (): boolean => {
    if (!view || !drawing) return false;
    pressed.current = null;
    const points = hand.current;
    hand.current = null;
    view.repaint();
    if (points && tool === "lasso") {
      useView.getState().setLasso(points.length > 2 ? points.flatMap((each) => [each.x, each.y]) : null);
    } else if (points && points.length > 1)
      add({ edit: "drawFreehand", points: points.flatMap((each) => [each.x, each.y]) });
    return true;
  };

  /** Ends an open line where it is; the two presses of the double click made one node too many. */
  const doubleClick = (): boolean => {
    if (tool !== "pen") return drawing;
    pen.current.pop();
    finish(false);
    return true;
  };

  return { down, move, up, doubleClick };
}
