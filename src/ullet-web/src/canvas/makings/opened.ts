import type { Element } from "../../api/elements";
import { outlineOf } from "../outlines";
import { isOnLine, paintSewnLine } from "./line";
import { paintStitches } from "../stitchPainter";
import type { CanvasMaking } from "./module";

/** Needle points of a file; what is kept without being sewn shows as a faint line. */
export const opened: CanvasMaking<"opened"> = {
  paint: (ctx, drawing, element, frame, stepKey) => paintStitches(ctx, drawing, element.id, frame, stepKey),
  mark: paintSewnLine,
  holds: (probe, element, at, reach) =>
    isOnLine(probe, element, at, Math.max(reach, bodyOf(element))) ||
    (element.making.look === "fill" && probe.isPointInPath(outlineOf(element), at.x, at.y)),
  signature: (_, element) => (element.making.isResting ? "resting" : ""),
};

/** Dense stitches are got hold of between their lines as well, mm. */
function bodyOf(element: Element): number {
  return element.making.kind === "opened" && ["satin", "fill", "zigzag"].includes(element.making.look)
    ? 1.2
    : 0;
}
