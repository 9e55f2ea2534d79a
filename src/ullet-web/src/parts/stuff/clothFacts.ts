import type { Catalogue, StashCloth } from "../../api/client";

/** What is known of a cloth of the stash, in a line. */
export function clothFacts(cloth: StashCloth, kinds: Catalogue["clothKinds"]): string {
  return [
    kinds.find((kind) => kind.id === cloth.kind)?.name ?? "",
    cloth.width == null ? "" : `${cloth.width / 10} cm wide`,
    cloth.leftLength == null ? "" : `${cloth.leftLength / 10} cm left`,
    cloth.grain === "oneWay" ? "one way" : cloth.grain === "twoWays" ? "two ways" : "",
  ]
    .filter(Boolean)
    .join(" · ");
}
