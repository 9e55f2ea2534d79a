import { useEffect, useRef, type PointerEvent } from "react";
import { useEdits } from "../../../api/edits";
import { useForm } from "../../../api/queries";
import type { Edit, Scene } from "../../../api/client";
import { toWorld, type Place } from "../../../canvas/camera";
import { carried, isChosen, nodeGripAt, paintNodes, place, type NodeGrip } from "../../../canvas/nodePainter";
import { useView } from "../../../state/view";
import type { WallView } from "../view/WallView";

interface Held {
  grip: NodeGrip;
  from: Place;
  by: Place;
}

/** What pointers do while nodes are worked on: nodes and handles are carried, the edit goes when the hand lets go. */
export function useNodeHands(projectId: string, view: WallView | null, scene: Scene) {
  const edits = useEdits(projectId);
  const { tool, selection, nodes, chooseNodes } = useView();
  const elementId = tool === "nodes" ? (selection[0] ?? null) : null;
  const form = useForm(projectId, elementId, scene.head).data ?? null;
  const held = useRef<Held | null>(null);
  /** What was let go and is on its way to the server: it is drawn where the hand left it until the next form comes. */
  const sent = useRef<Held | null>(null);

  useEffect(() => {
    sent.current = null;
  }, [form]);

  useEffect(() => {
    if (!view || !elementId || !form) return;
    view.setExtra((ctx, camera, ratio) => {
      const now = held.current ?? sent.current;
      const shown = now ? carried(form, now.grip, useView.getState().nodes, now.by) : form;
      paintNodes(ctx, shown, useView.getState().nodes, camera, ratio);
    });
    return () => view.setExtra(null);
  }, [view, elementId, form, nodes]);

  /** True when the pointer was taken. */
  const down = (event: PointerEvent, at: Place): boolean => {
    if (!view || !form || !elementId || event.button !== 0) return false;
    const grip = nodeGripAt(form, nodes, view.camera, at);
    if (!grip) return false;
    if (grip.kind === "node") {
      const { line, node } = grip.at;
      if (event.shiftKey)
        chooseNodes(
          isChosen(nodes, line, node)
            ? nodes.filter((each) => each.line !== line || each.node !== node)
            : [...nodes, grip.at],
        );
      else if (!isChosen(nodes, line, node)) chooseNodes([grip.at]);
    }
    held.current = { grip, from: toWorld(view.camera, at), by: { x: 0, y: 0 } };
    return true;
  };

  const move = (at: Place): boolean => {
    const now = held.current;
    if (!view || !now) return false;
    const to = toWorld(view.camera, at);
    now.by = { x: to.x - now.from.x, y: to.y - now.from.y };
    view.repaint();
    return true;
  };

  const up = (): boolean => {
    const done = held.current;
    held.current = null;
    if (!view || !done || !form || !elementId) return false;
    const moved = Math.hypot(done.by.x, done.by.y) * view.camera.scale > 2;
    const send = (edit: Edit) => {
      sent.current = done;
      void edits.edit(edit).then((ok) => {
        if (ok) return;
        sent.current = null;
        view.repaint();
      });
    };
    if (moved && done.grip.kind === "node")
      send({ edit: "moveNodes", elementId, nodes: useView.getState().nodes, ...done.by });
    if (moved && done.grip.kind === "handle") {
      const node = form.lines[done.grip.at.line]?.nodes[done.grip.at.node];
      if (node) {
        const was = place(done.grip.isOut ? node.out : node.in);
        send({
          edit: "bendNode",
          elementId,
          node: done.grip.at,
          isOut: done.grip.isOut,
          x: was.x + done.by.x,
          y: was.y + done.by.y,
        });
      }
    }
    view.repaint();
    return true;
  };

  /** Puts a node on the line under the pointer. */
  const doubleClick = (at: Place): boolean => {
    if (!view || !form || !elementId) return false;
    const grip = nodeGripAt(form, nodes, view.camera, at);
    if (grip?.kind !== "stretch") return grip !== null;
    void edits
      .edit({ edit: "addNode", elementId, line: grip.line, stretch: grip.stretch, at: grip.t })
      .then((ok) => (ok ? chooseNodes([{ line: grip.line, node: grip.stretch + 1 }]) : undefined));
    return true;
  };

  return { down, move, up, doubleClick, working: elementId !== null && form !== null };
}
