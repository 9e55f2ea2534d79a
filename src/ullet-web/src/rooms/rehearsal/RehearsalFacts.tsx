import type { Rehearsal } from "../../api/client";
import { duration } from "../../state/lengths";
import { pointsDone, secondsDone, type Position } from "./playback";
import { ThreadDot } from "../../parts/Swatch";

/** Stitches, time and thread. */
export function RehearsalFacts({ rehearsal, at }: { rehearsal: Rehearsal; at: Position }) {
  return (
    <section>
      <h2 className="mb-1 font-semibold">What the file asks for</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        <dt className="text-muted">Stitches</dt>
        <dd className="text-right">
          {pointsDone(rehearsal, at).toLocaleString("en-GB")} of{" "}
          {rehearsal.stitchCount.toLocaleString("en-GB")}
        </dd>
        <dt className="text-muted">Time, hands included</dt>
        <dd className="text-right">
          {duration(secondsDone(rehearsal, at))} of {duration(rehearsal.seconds)}
        </dd>
        <dt className="text-muted">Stops for hands</dt>
        <dd className="text-right">{rehearsal.stopCount}</dd>
      </dl>
      <h3 className="mt-3 mb-1 text-[14px] font-semibold">Thread</h3>
      <ul className="space-y-1">
        {rehearsal.threadUse.map((use) => (
          <li key={use.thread} className="flex items-center gap-2">
            <ThreadDot colour={rehearsal.threads.find((known) => known.number === use.thread)?.colour} />
            {use.name}
            <span className="ml-auto">{use.metres.toFixed(1)} m</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
