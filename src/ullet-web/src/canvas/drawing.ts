import type { Scene } from "../api/client";

/** What the wall shows. */
export interface Drawing {
  scene: Scene;
  stitches: Map<string, Float32Array>;
  /** Counts photos of cloth that have come in: a picture made before one of them is out of date. */
  photos: number;
}

/** The number of a step in the run sheet, from 1; null for none. */
export function numberOf(drawing: Drawing, stepKey: string | null): number | null {
  const at = drawing.scene.steps
    .filter((step) => step.order != null)
    .findIndex((step) => step.key === stepKey);
  return at < 0 ? null : at + 1;
}
