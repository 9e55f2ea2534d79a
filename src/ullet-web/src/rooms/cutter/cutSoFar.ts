import type { DryRun } from "../../api/client";

/** The way of the blade as far as a share of the whole cut, one string of points for each line. */
export function cutSoFar(run: DryRun, share: number): { cut: string[]; blade: [number, number] | null } {
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
  return { cut, blade: share < 1 ? blade : null };
}
