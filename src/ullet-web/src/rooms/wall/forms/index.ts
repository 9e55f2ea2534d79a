import type { Element, FormKind } from "../../../api/elements";
import { drawing } from "./drawing";
import type { WallForm } from "./module";
import { opened } from "./opened";
import { shape } from "./shape";
import { words } from "./words";

/** Every kind of form; one that is missing here does not compile. */
const FORMS: { [K in FormKind]: WallForm<K> } = { shape, drawing, words, opened };

/** What is shown of an element's form. */
export function formOf(element: Element): WallForm<FormKind> {
  // The element was looked up by its own kind: it is what its module takes.
  return FORMS[element.form.kind] as WallForm<FormKind>;
}
