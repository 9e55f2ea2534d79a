import type { Element, Scene } from "../api/client";
import { HANDLES, handlePlace, type Handle } from "./boxes";
import { toScreen, toWorld, type Camera, type Place } from "./camera";
import { ringPlace } from "./overlayPainter";
import { outlineOf } from "./wallPainter";

const probe = document.createElement("canvas").getContext("2d");

/** The topmost element under a place of the screen, its cover's band counted in. */
export function elementAt(scene: Scene, camera: Camera, at: Place): Element | null {
  const world = toWorld(camera, at);
  for (const element of [...scene.elements].reverse()) {
    if (!probe) return null;
    if (probe.isPointInPath(outlineOf(element), world.x, world.y, "evenodd")) return element;
    if (probe.isPointInPath(new Path2D(element.bandPath), world.x, world.y, "evenodd")) return element;
  }
  return null;
}

export type Grip = { kind: "handle"; handle: Handle } | { kind: "ring" };

/** The handle or ring of a selected element under a place of the screen. */
export function gripAt(element: Element, camera: Camera, at: Place): Grip | null {
  const near = (place: Place, within: number) => Math.hypot(place.x - at.x, place.y - at.y) <= within;
  if (near(ringPlace(element.box, camera), 11)) return { kind: "ring" };
  const handle = HANDLES.find((each) => near(toScreen(camera, handlePlace(element.box, each)), 9));
  return handle ? { kind: "handle", handle } : null;
}

/** Elements whose outline's box touches a band of the screen. */
export function elementsIn(scene: Scene, camera: Camera, from: Place, to: Place): string[] {
  const [a, b] = [toWorld(camera, from), toWorld(camera, to)];
  const [left, right] = [Math.min(a.x, b.x), Math.max(a.x, b.x)];
  const [top, bottom] = [Math.min(a.y, b.y), Math.max(a.y, b.y)];
  return scene.elements
    .filter(
      ({ outline: o }) => o.x <= right && o.x + o.width >= left && o.y <= bottom && o.y + o.height >= top,
    )
    .map((element) => element.id);
}
