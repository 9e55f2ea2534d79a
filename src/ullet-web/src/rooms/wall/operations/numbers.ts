import type { ReactNode } from "react";
import type { Operation } from "../../../api/client";
import type { ElementProps } from "../card/elementProps";

/** What the fields of one kind of operation get. */
export interface NumbersOf<O extends Operation> extends ElementProps {
  operation: O;
  /** A field for a length of the operation. */
  length: (label: string, value: number, set: (mm: number) => Operation) => ReactNode;
  onChanged: (next: Operation) => void;
}
