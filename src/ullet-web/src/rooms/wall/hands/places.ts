import type { Scene } from "../../../api/client";
import { toWorld, type Place } from "../../../canvas/camera";
import { caughtPlace, type Rect } from "../../../canvas/guides";
import type { WallView } from "../view/WallView";

/** Within so many CSS pixels a drag is caught by a guide. */
export const CATCH_PX = 6;

/** A pointer's place in the wall, CSS pixels. */
export function placeOf(event: { clientX: number; clientY: number; currentTarget: HTMLElement }): Place {
  const box = event.currentTarget.getBoundingClientRect();
  return { x: event.clientX - box.left, y: event.clientY - box.top };
}

/** The sewing field, mm. */
export function fieldOf(scene: Scene): Rect {
  const { fieldWidth: w, fieldHeight: h } = scene.hooping;
  return { x: -w / 2, y: -h / 2, width: w, height: h };
}

/** A place for the measure: caught by the outlines' edges and middles. */
export function measuredAt(view: WallView, scene: Scene, at: Place): Place {
  const boxes = scene.elements.filter((element) => !element.isHidden).map((element) => element.outline);
  return caughtPlace(toWorld(view.camera, at), [...boxes, fieldOf(scene)], CATCH_PX / view.camera.scale);
}
