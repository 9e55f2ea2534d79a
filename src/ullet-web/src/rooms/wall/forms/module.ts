import type { FC } from "react";
import type { FormKind, Formed } from "../../../api/elements";
import type { ElementProps } from "../card/elementProps";

/** What the wall's card shows of a kind of form. */
export interface WallForm<K extends FormKind> {
  /** Sections above those of the making: what is changed most. */
  Above?: FC<ElementProps<Formed<K>>>;
  /** Sections below them. */
  Below?: FC<ElementProps<Formed<K>>>;
  /** What becomes of it when it is turned into nodes. */
  frozen: string;
}
