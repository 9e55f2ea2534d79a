import type { ClothElement, Element, LineElement, PieceElement, Scene, WordsElement } from "../../api/client";

/** What every part of an element's card gets. */
export interface ElementProps<E extends Element = Element> {
  projectId: string;
  scene: Scene;
  element: E;
}

export type ClothProps = ElementProps<ClothElement>;
export type PieceProps = ElementProps<PieceElement>;
export type WordsProps = ElementProps<WordsElement>;
export type LineProps = ElementProps<LineElement>;
