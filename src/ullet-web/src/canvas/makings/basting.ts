import { paintStitches } from "../stitchPainter";
import { isOnLine, paintSewnLine } from "./line";
import type { CanvasMaking } from "./module";

/** Long stitches along a line. */
export const basting: CanvasMaking<"basting"> = {
  paint: (ctx, drawing, element, frame, stepKey) => paintStitches(ctx, drawing, element.id, frame, stepKey),
  mark: paintSewnLine,
  holds: (probe, element, at, reach) => isOnLine(probe, element, at, reach),
  signature: () => "",
};
