import type { SheetShape } from "../../api/client";
import { markOf } from "./tableProps";

interface Props {
  shapes: SheetShape[];
  /** Height of the figures, mm. */
  size: number;
  /** The shape that a hand moves, and how far; null for none. */
  drag: { shape: SheetShape; x: number; y: number } | null;
}

/** A number at each shape's corner, beside a shape that it would hide; the size card lists the same numbers. */
export function MatNumbers({ shapes, size, drag }: Props) {
  return shapes.map((shape, i) => {
    const moves = drag !== null && drag.shape.unit === shape.unit;
    const at = placeOf(shape, size);
    return (
      <g
        key={markOf(shape)}
        pointerEvents="none"
        transform={`translate(${at.x + (moves ? drag.x : 0)} ${at.y + (moves ? drag.y : 0)})`}
      >
        <circle r={size * 0.8} fill="#ffffff" stroke="#1d2a3a" strokeWidth="0.4" />
        <text textAnchor="middle" dy="0.35em" fontSize={size} fontWeight="600" fill="#1d2a3a">
          {i + 1}
        </text>
      </g>
    );
  });
}

/** So many badges wide a shape is large enough to bear one on its corner. */
const ROOMY = 3.4;

/** At the upper left corner; clear of a shape that is narrow, where the mat has room beside it. */
function placeOf({ box }: SheetShape, size: number) {
  const away = size * 0.95;
  if (Math.min(box.width, box.height) >= ROOMY * 2 * 0.8 * size) return { x: box.x, y: box.y };
  return box.width <= box.height
    ? { x: Math.max(box.x - away, away - 3), y: box.y + Math.min(size, box.height / 2) }
    : { x: box.x + Math.min(size, box.width / 2), y: Math.max(box.y - away, away - 3) };
}
