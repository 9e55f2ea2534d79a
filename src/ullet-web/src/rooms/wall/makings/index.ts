import type { Element, MakingKind } from "../../../api/elements";
import { basting } from "./basting";
import { cloth } from "./cloth";
import { construction } from "./construction";
import { cutOnly } from "./cutOnly";
import { filled } from "./filled";
import { line } from "./line";
import type { WallMaking } from "./module";
import { opened } from "./opened";
import { satin } from "./satin";
import { zone } from "./zone";

/** Every kind of making; one that is missing here does not compile. */
const MAKINGS: { [K in MakingKind]: WallMaking<K> } = {
  cloth,
  satin,
  filled,
  line,
  basting,
  opened,
  cutOnly,
  zone,
  construction,
};

/** What is shown of an element's making. */
export function makingOf(element: Element): WallMaking<MakingKind> {
  // The element was looked up by its own kind: it is what its module takes.
  return MAKINGS[element.making.kind] as WallMaking<MakingKind>;
}
