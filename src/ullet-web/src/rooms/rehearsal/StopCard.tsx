import { Hand, RotateCcw } from "lucide-react";
import { Link } from "react-router";
import type { Rehearsal } from "../../api/client";
import { Button, buttonClass } from "../../parts/Button";
import { duration } from "../../state/lengths";
import type { Position } from "./playback";
import { MomentDrawing } from "../../parts/MomentDrawing";
import { ThreadDot } from "../../parts/Swatch";

interface Props {
  projectId: string;
  /** The state that is rehearsed. */
  head: number | string;
  hooping?: string;
  rehearsal: Rehearsal;
  at: Position;
  over: boolean;
  onDone: () => void;
  onAgain: () => void;
}

/** Longer sentences are set smaller, so that the button stays in sight. */
const LONG = 140;

/** The large card that says what happens now: hands, or the machine. */
export function StopCard({ projectId, head, hooping, rehearsal, at, over, onDone, onAgain }: Props) {
  const now = rehearsal.steps[at.step];
  if (!now) return null;
  const thread = rehearsal.threads.find((known) => known.number === now.thread);
  const count = now.group?.count ?? 1;
  const next = rehearsal.steps[at.step + count];
  const place =
    count > 1
      ? `Steps ${now.number} to ${now.number + count - 1} of ${rehearsal.steps.length}`
      : `Step ${now.number} of ${rehearsal.steps.length}`;
  if (rehearsal.stitchCount === 0)
    return (
      <section className="rounded-card border border-line p-4">
        <h2 className="font-head text-[19px] font-semibold">Nothing to sew yet</h2>
        <p className="my-2">Lay a piece on the wall first; then the machine can rehearse it.</p>
        <Link className={buttonClass("main")} to={`/p/${projectId}/wall`}>
          Go to the wall
        </Link>
      </section>
    );
  if (now.kind === "hand")
    return (
      <section
        aria-label="Stop card"
        aria-live="polite"
        className="rounded-card border-2 border-marigold bg-marigold-pale p-4"
      >
        <p className="flex items-center gap-2 text-[14px] font-semibold">
          <Hand size={18} aria-hidden />
          {over ? "The machine is done" : at.step === 0 ? "Before you start" : "The machine has stopped"}
          <span className="ml-auto font-normal">{place}</span>
        </p>
        <p
          className={`my-2 font-head font-semibold ${(now.group?.text ?? now.text ?? "").length > LONG ? "text-[17px] leading-6" : "text-[21px] leading-7"}`}
        >
          Now: {now.group?.text ?? now.text}
        </p>
        {now.key ? (
          <MomentDrawing
            projectId={projectId}
            head={head}
            stepKey={now.key}
            hooping={hooping}
            width={340}
            height={262}
            className="my-2"
          />
        ) : null}
        {now.warning ? <p className="my-2 font-bold">{now.warning}</p> : null}
        {now.check ? <p className="my-2">Before you press start: {now.check}</p> : null}
        {now.note ? <p className="my-2 border-l-3 border-marigold pl-2">Your note: {now.note}</p> : null}
        <p className="mb-3 text-[14px]">
          {now.hoopOff ? "The hoop is off the machine" : "The hoop stays on the machine"} · about{" "}
          {duration(now.group?.seconds ?? now.seconds)}
        </p>
        {over ? (
          <Button onClick={onAgain}>
            <RotateCcw size={16} aria-hidden />
            Rehearse again
          </Button>
        ) : (
          <Button look="main" onClick={onDone}>
            {next?.kind === "hand" ? "Done, what is next" : "Done, press start"}
          </Button>
        )}
      </section>
    );
  return (
    <section aria-label="Machine card" className="rounded-card border border-line p-4">
      <p className="flex text-[14px] font-semibold">
        The machine sews<span className="ml-auto font-normal">{place}</span>
      </p>
      <p className="my-1 font-head text-[21px] leading-7 font-semibold">
        {now.ownerName}, {now.role}
      </p>
      <p className="flex items-center gap-2">
        <ThreadDot colour={thread?.colour} />
        {thread?.name} · block {now.block}
      </p>
      <p className="mt-1 text-[14px] text-muted">
        {Math.round(now.stitchCount * at.share).toLocaleString("en-GB")} of{" "}
        {now.stitchCount.toLocaleString("en-GB")} stitches ·{" "}
        {now.stopAfter ? "then it stops" : next ? "then it goes straight on" : "then it is done"}
      </p>
    </section>
  );
}
