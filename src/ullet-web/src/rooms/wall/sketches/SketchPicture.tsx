import type { Sketch, SketchWay } from "../../../api/client";

interface Props {
  sketch: Sketch;
  way: SketchWay;
  className?: string;
}

/** A small drawing as it would look: areas with an edge in cloth, with rows in thread, bare in line. */
export function SketchPicture({ sketch, way, className }: Props) {
  return (
    <svg viewBox="-54 -54 108 108" aria-hidden className={className}>
      {sketch.parts.map((part, i) => (
        <g key={i}>
          <path
            d={part.path}
            fillRule="evenodd"
            fill={part.isLine || way === "line" ? "none" : part.colour}
            stroke={part.isLine || way !== "thread" ? part.colour : "none"}
            strokeWidth={part.isLine ? 1.8 : way === "cloth" ? 2.6 : 1.5}
            strokeDasharray={way === "line" || part.isLine ? "3 1" : undefined}
            strokeLinejoin="round"
          />
          {part.isLine || way === "line" ? null : way === "cloth" ? (
            <path d={part.path} fill="none" stroke="#00000030" strokeWidth="2.6" strokeDasharray="0.7 0.6" />
          ) : (
            <path d={part.path} fillRule="evenodd" fill={`url(#rows-${i % 3})`} />
          )}
        </g>
      ))}
    </svg>
  );
}

/** The rows that pictures in thread are drawn with; drawn once where such pictures are. */
export function SketchRows() {
  return (
    <svg width="0" height="0" aria-hidden className="absolute">
      <defs>
        {[25, 70, 140].map((turn, i) => (
          <pattern
            key={turn}
            id={`rows-${i}`}
            width="20"
            height="2.2"
            patternUnits="userSpaceOnUse"
            patternTransform={`rotate(${turn})`}
          >
            <path d="M0 0.5H20" stroke="#ffffff" strokeOpacity="0.38" strokeWidth="0.7" />
            <path d="M0 1.6H20" stroke="#000000" strokeOpacity="0.2" strokeWidth="0.7" />
          </pattern>
        ))}
      </defs>
    </svg>
  );
}
