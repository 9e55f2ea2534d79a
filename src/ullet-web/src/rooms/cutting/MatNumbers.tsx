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
    const at = placeOf(shape, shapes, size);
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

/** At a roomy shape's upper left corner; beside a narrow one, where nothing else lies: above, to the left, below, to the right. */
function placeOf(shape: SheetShape, shapes: SheetShape[], size: number) {
  const { box } = shape;
  const radius = size * 0.8;
  if (Math.min(box.width, box.height) >= ROOMY * 2 * radius) return { x: box.x, y: box.y };
  const away = radius + 0.6;
  const [left, top] = [box.x + Math.min(radius, box.width / 2), box.y + Math.min(radius, box.height / 2)];
  const places = [
    { x: left, y: box.y - away },
    { x: box.x - away, y: top },
    { x: left, y: box.y + box.height + away },
    { x: box.x + box.width + away, y: top },
  ];
  const isFree = ({ x, y }: { x: number; y: number }) =>
    x > -3 && y > -3 && shapes.every(({ box: other }) => distance(other, x, y) >= radius * 0.8);
  return places.find(isFree) ?? { x: box.x, y: box.y - away };
}

const distance = (box: SheetShape["box"], x: number, y: number) =>
  Math.hypot(Math.max(box.x - x, x - box.x - box.width, 0), Math.max(box.y - y, y - box.y - box.height, 0));
