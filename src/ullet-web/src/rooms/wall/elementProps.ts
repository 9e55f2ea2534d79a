import type { Element, Scene } from "../../api/client";

/** What every part of a piece's card gets. */
export interface ElementProps {
  projectId: string;
  scene: Scene;
  element: Element;
}
