import type { Element } from "../api/elements";
import type { Camera } from "./camera";

export interface Frame {
  camera: Camera;
  /** Device pixels for a CSS pixel. */
  ratio: number;
}

const outlines = new WeakMap<Element, Path2D>();

/** The element's outline as a path in mm. */
export function outlineOf(element: Element): Path2D {
  let path = outlines.get(element);
  if (!path) {
    path = new Path2D(element.outlinePath);
    outlines.set(element, path);
  }
  return path;
}
