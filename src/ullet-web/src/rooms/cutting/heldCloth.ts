import type { ClothCut, Scene } from "../../api/client";

/** What is cut of a cloth, as it stands in the newest scene. */
export const heldCloth = (now: Scene, cloth: ClothCut): ClothCut =>
  now.cutCloths.find(({ clothId }) => clothId === cloth.clothId) ?? cloth;
