import type { Made, MakingKind } from "../../api/elements";
import type { Camera, Place } from "../camera";
import type { Drawing } from "../drawing";
import type { Frame } from "../outlines";

/** How a kind of making looks on the wall, and where hands get hold of it. */
export interface CanvasMaking<K extends MakingKind> {
  /** Draws it. */
  paint(
    ctx: CanvasRenderingContext2D,
    drawing: Drawing,
    element: Made<K>,
    frame: Frame,
    stepKey: string | null,
  ): void;
  /** Draws the lines that tell how it is made, over its picture. The context is in mm; px is a CSS pixel in mm. */
  mark(ctx: CanvasRenderingContext2D, element: Made<K>, px: number): void;
  /** Draws what is seen of it beneath others; nothing for most. */
  under?(
    ctx: CanvasRenderingContext2D,
    element: Made<K>,
    camera: Camera,
    ratio: number,
    isChosen: boolean,
  ): void;
  /** True where a hand at a place, mm, gets hold of it; reach is how near it must come to a line, mm. */
  holds(probe: CanvasRenderingContext2D, element: Made<K>, at: Place, reach: number): boolean;
  /** What its picture depends on beside its outline and its stitches. */
  signature(drawing: Drawing, element: Made<K>, stepKey: string | null): string;
}
