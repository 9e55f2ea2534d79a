import type { Scene } from "../../../api/client";
import type { Element, Formed, Made } from "../../../api/elements";

/** What every part of an element's card gets. */
export interface ElementProps<E extends Element = Element> {
  projectId: string;
  scene: Scene;
  element: E;
}

export type ClothProps = ElementProps<Made<"cloth">>;
export type WordsProps = ElementProps<Formed<"words">>;
