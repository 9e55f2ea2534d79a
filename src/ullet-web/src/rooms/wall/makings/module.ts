import type { FC } from "react";
import type { Scene } from "../../../api/client";
import type { Made, MakingKind } from "../../../api/elements";
import type { ElementProps } from "../card/elementProps";

/** What the wall's card and its stack show of a kind of making. */
export interface WallMaking<K extends MakingKind> {
  /** Its picture in the stack, 18 pixels. */
  Icon: FC<{ scene: Scene; element: Made<K> }>;
  /** Its sections on the card of an element. */
  Card: FC<ElementProps<Made<K>>>;
  /** Further sections, below place and size; none for most. */
  Further?: FC<ElementProps<Made<K>>>;
  /** What follows its element's name in the stack; empty for nothing. */
  calledAlso(element: Made<K>): string;
}
