/** What words may be made into. */
export const USES = [
  { value: "oneByOne", label: "cloth, letter by letter" },
  { value: "onePiece", label: "cloth, all as one piece" },
  { value: "satin", label: "embroidered in satin" },
  { value: "filled", label: "embroidered in rows" },
  { value: "stitchedOutline", label: "stitched along their edges" },
] as const;
