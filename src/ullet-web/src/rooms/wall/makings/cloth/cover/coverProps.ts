import type { Catalogue, CoverSettings, Unit } from "../../../../../api/client";
import type { Made } from "../../../../../api/elements";

/** A cover as it holds. */
export type Cover = Made<"cloth">["making"]["cover"];

/** What the fields of a cover need. */
export interface CoverProps {
  catalogue: Catalogue;
  /** The cover as it holds. */
  cover: Cover;
  /** What was set by hand. */
  set: CoverSettings;
  unit: Unit;
  /** Saves a change. */
  take: (part: Partial<CoverSettings> | ((now: Cover) => Partial<CoverSettings>)) => unknown;
  /** Draws a change without saving it. */
  slide: (part: Partial<CoverSettings>) => void;
}
