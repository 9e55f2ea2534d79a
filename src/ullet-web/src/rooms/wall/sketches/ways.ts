import type { SketchWay } from "../../../api/client";
import type { Segment } from "../../../parts/fields/Segments";

/** How a small drawing is set, in words. */
export const WAYS: readonly Segment<SketchWay>[] = [
  { value: "cloth", label: "In cloth" },
  { value: "thread", label: "In thread" },
  { value: "line", label: "In line" },
];
