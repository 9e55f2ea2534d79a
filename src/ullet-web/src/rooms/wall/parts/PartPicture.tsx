import type { Schemas } from "../../../api/client";

interface Props {
  part: Schemas["PartDto"];
  className?: string;
}

/** A part in its cloths and threads. */
export function PartPicture({ part, className }: Props) {
  const { box } = part;
  const pad = Math.max(box.width, box.height) * 0.05 + 0.5;
  return (
    <svg
      aria-hidden
      className={className}
      viewBox={`${box.x - pad} ${box.y - pad} ${box.width + 2 * pad} ${box.height + 2 * pad}`}
    >
      {part.lines.map((line, i) => (
        <path
          key={i}
          d={line.path}
          fill={line.isFilled ? line.colour : "none"}
          fillRule="evenodd"
          stroke={line.isFilled ? "#1d2a3a" : line.colour}
          strokeWidth={line.isFilled ? 0.75 : 1.75}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
