import type { Rehearsal, RehearsedStep } from "../../api/client";

/** Where the rehearsal stands: in which step, and how much of it is done, 0 to 1. */
export interface Position {
  step: number;
  share: number;
}

export const SPEEDS = [1, 10, 30, 120] as const;

/** The position after some seconds of machine time; never past a hand step, and never past the end. */
export function advanced(steps: RehearsedStep[], at: Position, seconds: number): Position {
  let { step, share } = at;
  let left = seconds;
  for (;;) {
    const now = steps[step];
    if (!now || now.kind === "hand") return { step, share };
    const needed = now.seconds * (1 - share);
    if (left < needed) return { step, share: share + left / now.seconds };
    left -= needed;
    if (step + 1 >= steps.length) return { step, share: 1 };
    step += 1;
    share = 0;
  }
}

/** The start of the step before or after. */
export function stepped(steps: RehearsedStep[], at: Position, by: 1 | -1): Position {
  if (by === -1 && at.share > 0) return { step: at.step, share: 0 };
  // Hand steps that are one card are gone through as one.
  const step = by === 1 ? at.step + (steps[at.step]?.group?.count ?? 1) : firstOfCard(steps, at.step - 1);
  if (step < 0) return { step: 0, share: 0 };
  if (step >= steps.length) return { step: steps.length - 1, share: 1 };
  return { step, share: 0 };
}

/** The step at which the card begins that a step belongs to. */
function firstOfCard(steps: RehearsedStep[], step: number): number {
  const first = steps.findIndex((known, i) => i + (known.group?.count ?? 1) > step);
  return Math.max(0, first);
}

export function isOver(rehearsal: Rehearsal, at: Position): boolean {
  return (
    at.step + (rehearsal.steps[at.step]?.group?.count ?? 1) >= rehearsal.steps.length &&
    (at.share >= 1 || rehearsal.steps[at.step]?.kind === "hand")
  );
}

/** Needle points done by now, of the whole file. */
export function pointsDone(rehearsal: Rehearsal, at: Position): number {
  return rehearsal.steps.reduce((sum, step, i) => {
    if (i < at.step) return sum + step.stitchCount;
    return i === at.step ? sum + Math.round(step.stitchCount * at.share) : sum;
  }, 0);
}

export function secondsDone(rehearsal: Rehearsal, at: Position): number {
  return rehearsal.steps.reduce(
    (sum, step, i) =>
      i < at.step ? sum + step.seconds : i === at.step ? sum + step.seconds * at.share : sum,
    0,
  );
}
