import type { SheetShape } from "../../api/client";
import { markOf } from "./tableProps";

interface Props {
  shapes: SheetShape[];
  /** Height of the figures, mm. */
  size: number;
  /** The shape that a hand moves, and how far; null for none. */
  drag: { shape: SheetShape; x: number; y: number } | null;
}

/** A number at each shape's corner; the size card lists the same numbers. */
export function MatNumbers({ shapes, size, drag }: Props) {
  return shapes.map((shape, i) => {
    const moves = drag !== null && drag.shape.unit === shape.unit;
    return (
      <g
        key={markOf(shape)}
        pointerEvents="none"
        transform={`translate(${shape.box.x + (moves ? drag.x : 0)} ${shape.box.y + (moves ? drag.y : 0)})`}
      >
        <circle r={size * 0.8} fill="#ffffff" stroke="#1d2a3a" strokeWidth="0.4" />
        <text textAnchor="middle" dy="0.35em" fontSize={size} fontWeight="600" fill="#1d2a3a">
          {i + 1}
        </text>
      </g>
    );
  });
}
