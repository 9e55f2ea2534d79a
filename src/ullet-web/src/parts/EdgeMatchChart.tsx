import type { EdgeMatch, Unit } from "../api/client";
import { withUnit } from "../state/lengths";

interface Props {
  match: EdgeMatch;
  unit: Unit;
}

const WIDTH = 280;
const HALF = 46;
const LEFT = 4;

/** Cover on both sides of the cut edge, once round: inside it downwards, outside it upwards. */
export function EdgeMatchChart({ match, unit }: Props) {
  const margins = match.margins;
  const most = Math.max(
    match.wanted,
    0.5,
    ...margins.map((margin) => Math.max(Math.abs(margin.bite), Math.abs(margin.beyond ?? 0))),
  );
  const x = (i: number) => LEFT + (i / Math.max(1, margins.length - 1)) * (WIDTH - 2 * LEFT);
  const y = (mm: number) => HALF + (mm / most) * (HALF - 6);
  const area = (value: (i: number) => number) =>
    `M${x(0)} ${HALF}` +
    margins.map((_, i) => `L${x(i)} ${y(value(i))}`).join("") +
    `L${x(margins.length - 1)} ${HALF}Z`;
  const worst = match.worstAt;
  const hides = margins.some((margin) => margin.beyond != null);
  return (
    <figure className="rounded-card border border-line bg-chalk p-1">
      <svg
        viewBox={`0 0 ${WIDTH} ${HALF * 2}`}
        role="img"
        aria-label={`Cover along the cut edge of ${match.piece}. ${match.words}`}
        className="w-full"
      >
        {hides ? <path d={area((i) => -(margins[i]?.beyond ?? 0))} fill="#9aa6dd" /> : null}
        <path d={area((i) => margins[i]?.bite ?? 0)} fill="#3b4ba3" />
        <line x1={0} x2={WIDTH} y1={HALF} y2={HALF} stroke="#1f7a6d" strokeWidth={1.6} />
        <line
          x1={0}
          x2={WIDTH}
          y1={y(match.wanted)}
          y2={y(match.wanted)}
          stroke="#ffffff"
          strokeWidth={2.6}
        />
        <line
          x1={0}
          x2={WIDTH}
          y1={y(match.wanted)}
          y2={y(match.wanted)}
          stroke="#1d2a3a"
          strokeWidth={1.2}
          strokeDasharray="4 3"
        />
        <line x1={x(worst)} x2={x(worst)} y1={3} y2={HALF * 2 - 3} stroke="#ffffff" strokeWidth={3.4} />
        <line
          x1={x(worst)}
          x2={x(worst)}
          y1={3}
          y2={HALF * 2 - 3}
          stroke={match.holds ? "#d98a00" : "#b3343a"}
          strokeWidth={2}
        />
      </svg>
      <figcaption className="flex justify-between px-1 text-[12px] text-muted">
        <span>{hides ? "pale: outside the edge" : "the line inside the edge"}</span>
        <span>dashes: bite wanted, {withUnit(match.wanted, unit)}</span>
      </figcaption>
    </figure>
  );
}
