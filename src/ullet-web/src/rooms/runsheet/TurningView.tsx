import type { Turning } from "../../api/client";
import { Note } from "../../parts/Note";

/** A layer's height in the drawing, mm of it. */
const ROW = 9;
const WIDTH = 240;

/** How the work is turned: in words, and as a cut through its layers with the way drawn in. */
export function TurningView({ turning }: { turning: Turning }) {
  return (
    <div className="w-[340px] shrink-0 space-y-2">
      <h3 className="text-[14px] font-semibold">Seen from the side, before it is turned</h3>
      {turning.answer === "closedOff" ? (
        <Note look="wrong">{turning.words}</Note>
      ) : (
        <p className="text-[14px]">{turning.words}</p>
      )}
      {turning.section ? <Section section={turning.section} words={turning.words} /> : null}
    </div>
  );
}

const LOOK = {
  outer: { stroke: "var(--color-ink)", width: 2.6 },
  lining: { stroke: "var(--color-verdigris)", width: 2.6 },
  inner: { stroke: "var(--color-muted)", width: 1.4 },
  takenOut: { stroke: "var(--color-muted)", width: 1.4 },
} as const;

function Section({ section, words }: { section: NonNullable<Turning["section"]>; words: string }) {
  const scale = WIDTH / Math.max(section.length, 1);
  const height = (section.layers.length + 1) * ROW * 1.6;
  const down = (row: number) => (row + 1) * ROW * 1.6;
  return (
    <figure>
      <svg
        role="img"
        aria-label={words}
        viewBox={`0 0 ${WIDTH + 96} ${height}`}
        className="w-full rounded-card border border-line bg-white"
      >
        {section.layers.map((layer, row) => (
          <g key={row}>
            {layer.runs.map((run, i) => (
              <line
                key={i}
                x1={run.from * scale}
                x2={run.to * scale}
                y1={down(row)}
                y2={down(row)}
                stroke={LOOK[layer.role ?? "inner"].stroke}
                strokeWidth={LOOK[layer.role ?? "inner"].width}
              />
            ))}
            <text x={WIDTH + 6} y={down(row) + 4} fontSize={11} fill="var(--color-ink)">
              {layer.name}
            </text>
          </g>
        ))}
        <path
          d={scaled(section.way, scale, down)}
          fill="none"
          stroke="var(--color-madder)"
          strokeWidth={2}
          strokeDasharray="5 3"
          strokeLinejoin="round"
        />
      </svg>
      <figcaption className="mt-1 text-[13px] text-muted">
        Dark cloth has its right side outside in the end, green is lining, thin lines stay between. The dashed
        line is the way in from outside; it ends at the right sides of the outer cloth.
      </figcaption>
    </figure>
  );
}

/** Path data whose first numbers are mm along and second ones layers down, brought to the drawing. */
function scaled(path: string, scale: number, down: (row: number) => number): string {
  return path.replace(/(-?[\d.]+) (-?[\d.]+)/g, (_, along: string, row: string) => {
    return `${(Number(along) * scale).toFixed(1)} ${down(Number(row)).toFixed(1)}`;
  });
}
