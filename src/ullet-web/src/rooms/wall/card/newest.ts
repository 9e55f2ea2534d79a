import type { Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";

/** An element as it stands in the newest scene, where it is still of the same kinds; else as it was. */
export function newest<E extends Element>(now: Scene, element: E): E {
  const found = now.elements.find((each) => each.id === element.id);
  return found?.making.kind === element.making.kind && found.form.kind === element.form.kind
    ? (found as E)
    : element;
}
