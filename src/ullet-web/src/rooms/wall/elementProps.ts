import type { ClothElement, Element, LineElement, Scene, WordsElement } from "../../api/client";

/** What every part of an element's card gets. */
export interface ElementProps<E extends Element = Element> {
  projectId: string;
  scene: Scene;
  element: E;
}

export type ClothProps = ElementProps<ClothElement>;
/** An element with a generator's shape, or a drawing taken as an area. */
export type ShapedElement = Element & { shape: NonNullable<Element["shape"]> };
export type ShapedProps = ElementProps<ShapedElement>;
export type WordsProps = ElementProps<WordsElement>;
export type LineProps = ElementProps<LineElement>;
