import type { Scene } from "../../../api/client";
import type { Place } from "../../../canvas/camera";
import { elementAt, free, gripAt, letterAt, withGroup } from "../../../canvas/hitTest";
import { wholeBox } from "../../../canvas/whole";
import type { WallView } from "../view/WallView";
import type { Work } from "./wallWork";

/** What a press gets hold of: a grip of the one that is selected, its chosen letter, an element with its group, or the bare wall.
 * Elements that were not selected are to be, see pressed. */
export function grasped(
  scene: Scene,
  view: WallView,
  at: Place,
  chosen: { selection: string[]; letter: number | null; shift: boolean },
): { work: Work; pressed: string[] | null } {
  const { selection, letter, shift } = chosen;
  const only =
    selection.length === 1 ? scene.elements.find((element) => element.id === selection[0]) : undefined;
  const grip = only && !only.isLocked ? gripAt(only.box, view.camera, at) : null;
  if (only && grip)
    return {
      work:
        grip.kind === "ring"
          ? { kind: "turn", element: only, now: only.box }
          : { kind: "scale", element: only, handle: grip.handle, now: only.box },
      pressed: null,
    };
  if (only && letter !== null && letterAt(only, view.camera, at) === letter)
    return {
      work: { kind: "letter", element: only, index: letter, from: at, by: { x: 0, y: 0 } },
      pressed: null,
    };
  const whole = wholeGripAt(scene, view, at, selection);
  if (whole) return { work: whole, pressed: null };
  const hit = elementAt(scene, view.camera, at);
  if (!hit) return { work: { kind: "band", from: at, keep: shift ? selection : [] }, pressed: null };
  const isChosen = selection.includes(hit.id);
  const own = withGroup(scene, hit);
  const ids = isChosen ? selection : shift ? [...new Set([...selection, ...own])] : own;
  return {
    work: {
      kind: "press",
      from: at,
      elements: scene.elements.filter((element) => ids.includes(element.id) && free(element)),
      without: isChosen && shift ? own : null,
      only: isChosen && !shift && selection.length > own.length ? own : null,
    },
    pressed: isChosen ? null : ids,
  };
}

/** A grip of the box round several selected elements; null beside them, and where one of them may not be moved. */
function wholeGripAt(scene: Scene, view: WallView, at: Place, selection: string[]): Work | null {
  const elements = scene.elements.filter((element) => selection.includes(element.id));
  if (elements.length < 2 || !elements.every(free)) return null;
  const whole = wholeBox(elements);
  const grip = gripAt(whole, view.camera, at);
  if (!grip) return null;
  return grip.kind === "ring"
    ? { kind: "turnAll", elements, whole, now: whole }
    : { kind: "scaleAll", elements, whole, handle: grip.handle, now: whole };
}
