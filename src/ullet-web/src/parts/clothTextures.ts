/** The patterns of a cloth as they are chosen. */
export const CLOTH_TEXTURES = [
  { value: "plain", label: "plain" },
  { value: "woven", label: "woven" },
  { value: "dotted", label: "dotted" },
  { value: "striped", label: "striped" },
];

/** How pieces may be turned on a cloth. */
export const GRAINS = [
  { value: "free", label: "any way" },
  { value: "twoWays", label: "as they stand, or upside down" },
  { value: "oneWay", label: "only as they stand" },
];
