import type { Cloth, Sheet } from "../../api/client";

/** The mat with its shapes, drawn in mm. */
export function Mat({ sheet, cloth }: { sheet: Sheet; cloth?: Cloth }) {
  const right = Math.max(sheet.matWidth, ...sheet.shapes.map((shape) => shape.box.x + shape.box.width));
  const bottom = Math.max(sheet.matHeight, ...sheet.shapes.map((shape) => shape.box.y + shape.box.height));
  // Numbers as large as 12 pixels on the smallest screen; the size card says which piece each is.
  const letters = Math.max(right, bottom) / 44;
  const words = sheet.shapes.map(
    (shape) => `${shape.name} ${shape.box.width.toFixed(1)} by ${shape.box.height.toFixed(1)} mm`,
  );
  return (
    <div className="min-h-0 flex-1 p-4">
      <svg
        viewBox={`-4 -4 ${right + 8} ${bottom + 8}`}
        role="img"
        aria-label={`Mat with ${words.join(", ")}`}
        className="size-full"
      >
        <defs>
          <pattern id="mat-grid" width="10" height="10" patternUnits="userSpaceOnUse">
            <path d="M10 0H0V10" fill="none" stroke="#9dc0b9" strokeWidth="0.25" />
          </pattern>
          <pattern id="mat-grid-wide" width="50" height="50" patternUnits="userSpaceOnUse">
            <path d="M50 0H0V50" fill="none" stroke="#7fa89f" strokeWidth="0.5" />
          </pattern>
        </defs>
        <rect width={sheet.matWidth} height={sheet.matHeight} rx="3" fill="#d6e7e3" />
        <rect width={sheet.matWidth} height={sheet.matHeight} rx="3" fill="url(#mat-grid)" />
        <rect
          width={sheet.matWidth}
          height={sheet.matHeight}
          rx="3"
          fill="url(#mat-grid-wide)"
          stroke="#1f7a6d"
          strokeWidth="0.8"
        />
        {sheet.shapes.map((shape, i) => (
          <g key={`${shape.elementId}.${shape.ordinal}`}>
            <path
              d={shape.path}
              fill={cloth?.colour ?? "#ffffff"}
              fillRule="evenodd"
              stroke="#1d2a3a"
              strokeWidth="0.5"
            />
            <g
              transform={`translate(${shape.box.x + shape.box.width / 2} ${shape.box.y + shape.box.height / 2})`}
            >
              <circle r={letters} fill="#ffffff" stroke="#1d2a3a" strokeWidth="0.4" />
              <text textAnchor="middle" dy="0.35em" fontSize={letters * 1.1} fontWeight="600" fill="#1d2a3a">
                {i + 1}
              </text>
            </g>
          </g>
        ))}
        {sheet.isMirrored ? (
          <text
            x={sheet.matWidth - 6}
            y={sheet.matHeight - 6}
            textAnchor="end"
            fontSize="9"
            fontWeight="600"
            fill="#b3343a"
          >
            mirrored: cloth face down
          </text>
        ) : null}
      </svg>
    </div>
  );
}
