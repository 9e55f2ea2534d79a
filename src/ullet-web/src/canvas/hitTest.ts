import type { ElementBox, Scene } from "../api/client";
import { isFormed, type Element } from "../api/elements";
import { HANDLES, handlePlace, type Handle } from "./boxes";
import { toScreen, toWorld, type Camera, type Place } from "./camera";
import { ringPlace } from "./overlayPainter";
import { makingOf } from "./makings";

const probe = document.createElement("canvas").getContext("2d");

/** How near a hand must come to a line that has no area, CSS pixels. */
const LINE_REACH = 6;

/** Elements that hands can take: neither locked nor hidden. */
export const free = (element: Element) => !element.isLocked && !element.isHidden;

/** The topmost element under a place of the screen, its cover's band counted in; locked ones are reached through. */
export function elementAt(scene: Scene, camera: Camera, at: Place): Element | null {
  const world = toWorld(camera, at);
  for (const element of [...scene.elements].reverse()) {
    if (!probe) return null;
    if (!free(element)) continue;
    if (makingOf(element).holds(probe, element, world, LINE_REACH / camera.scale)) return element;
  }
  return null;
}

/** An element and whatever is in its group. */
export function withGroup(scene: Scene, element: Element): string[] {
  if (element.groupId == null) return [element.id];
  return scene.elements
    .filter((each) => each.groupId === element.groupId && free(each))
    .map((each) => each.id);
}

/** The number of the letter under a place of the screen; null beside the letters. */
export function letterAt(element: Element, camera: Camera, at: Place): number | null {
  const world = toWorld(camera, at);
  const letters = isFormed(element, "words") ? element.form.letters : [];
  const hit = letters.find((letter) =>
    probe?.isPointInPath(new Path2D(letter.path), world.x, world.y, "nonzero"),
  );
  return hit?.index ?? null;
}

export type Grip = { kind: "handle"; handle: Handle } | { kind: "ring" };

/** The handle or ring of a box under a place of the screen. */
export function gripAt(box: ElementBox, camera: Camera, at: Place): Grip | null {
  const near = (place: Place, within: number) => Math.hypot(place.x - at.x, place.y - at.y) <= within;
  if (near(ringPlace(box, camera), 11)) return { kind: "ring" };
  const handle = HANDLES.find((each) => near(toScreen(camera, handlePlace(box, each)), 9));
  return handle ? { kind: "handle", handle } : null;
}

/** Elements whose outline's box touches a band of the screen, with their groups. */
export function elementsIn(scene: Scene, camera: Camera, from: Place, to: Place): string[] {
  const [a, b] = [toWorld(camera, from), toWorld(camera, to)];
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
  const touched = scene.elements.filter(
    (element) =>
      free(element) &&
      element.outline.x <= right &&
      element.outline.x + element.outline.width >= left &&
      element.outline.y <= bottom &&
      element.outline.y + element.outline.height >= top,
  );
  return [...new Set(touched.flatMap((element) => withGroup(scene, element)))];
}
