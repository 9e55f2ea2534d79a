import type { Step, Thread } from "../api/client";
import { TextField } from "./fields/TextField";

interface Props {
  step: Step;
  threads: Thread[];
  /** Called with the user's own line for a hand step. */
  onNote: (note: string) => void;
}

/** What a step does: how much is sewn with what, or what hands do, with a note of the user's own. */
export function StepText({ step, threads, onNote }: Props) {
  if (step.kind === "stitch") {
    const thread = threads.find((known) => known.id === step.threadId);
    return (
      <p>
        {step.stitchCount.toLocaleString("en-GB")} stitches in {thread?.name ?? "another thread"}
        {step.stopAfter ? "; then the machine stops." : "; the machine goes straight on."}
      </p>
    );
  }
  return (
    <>
      <p>{step.text}</p>
      {step.warning ? <p className="font-bold">{step.warning}</p> : null}
      {step.check ? <p>Before you press start: {step.check}</p> : null}
      <TextField
        label="Your own note, shown at this stop"
        value={step.note ?? ""}
        placeholder="Such as: the dotted side up"
        onTyped={onNote}
      />
    </>
  );
}
