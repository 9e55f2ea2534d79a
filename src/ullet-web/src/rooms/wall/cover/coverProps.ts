import type { Catalogue, ClothElement, CoverSettings, Unit } from "../../../api/client";

/** What the fields of a cover need. */
export interface CoverProps {
  catalogue: Catalogue;
  /** The cover as it holds. */
  cover: ClothElement["cloth"]["cover"];
  /** What was set by hand. */
  set: CoverSettings;
  unit: Unit;
  /** Saves a change. */
  take: (part: Partial<CoverSettings>) => void;
  /** Draws a change without saving it. */
  slide: (part: Partial<CoverSettings>) => void;
}
