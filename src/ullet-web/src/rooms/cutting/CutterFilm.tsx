import type { DryRun } from "../../api/client";

/** The blade's way so far. */
export function CutterFilm({ run, share }: { run: DryRun; share: number }) {
  const { frame } = run;
  const gap = 4;
  const { cut, blade } = cutSoFar(run, share);
  const dot = Math.max(frame.width, frame.height) / 40;
  return (
    <svg
      viewBox={`${frame.x - gap} ${frame.y - gap} ${frame.width + gap * 2} ${frame.height + gap * 2}`}
      className="h-[104px] w-[150px] shrink-0 rounded-card bg-verdigris-pale"
      aria-hidden
    >
      <rect
        x={frame.x}
        y={frame.y}
        width={frame.width}
        height={frame.height}
        fill="none"
        stroke="#1f7a6d"
        strokeDasharray="3 3"
        vectorEffect="non-scaling-stroke"
      />
      {run.lines.map((line, i) => (
        <path key={i} d={line.path} fill="none" stroke="#9dc0b9" vectorEffect="non-scaling-stroke" />
      ))}
      {cut.map((points, i) =>
        points ? (
          <polyline
            key={i}
            points={points}
            fill="none"
            stroke="#1f7a6d"
            strokeWidth="2"
            vectorEffect="non-scaling-stroke"
          />
        ) : null,
      )}
      {blade && share < 1 ? <circle cx={blade[0]} cy={blade[1]} r={dot} fill="#1d2a3a" /> : null}
    </svg>
  );
}

/** The way of the blade as far as a share of the whole cut, one string of points for each line. */
function cutSoFar(run: DryRun, share: number): { cut: string[]; blade: [number, number] | null } {
  let left = run.cutLength * share;
  let blade: [number, number] | null = null;
  const cut: string[] = [];
  for (const line of run.lines) {
    const parts: string[] = [];
    for (let i = 0; i + 1 < line.points.length && left > 0; i += 2) {
      const [x, y] = [line.points[i] ?? 0, line.points[i + 1] ?? 0];
      if (i > 0) left -= Math.hypot(x - (line.points[i - 2] ?? x), y - (line.points[i - 1] ?? y));
      parts.push(`${x},${y}`);
      blade = [x, y];
    }
    cut.push(parts.join(" "));
  }
  return { cut, blade };
}
