import { Pause, Play, SkipBack, SkipForward } from "lucide-react";
import type { Rehearsal } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { IconButton } from "../../parts/IconButton";
import { SPEEDS, type Position } from "./playback";

interface Props {
  rehearsal: Rehearsal;
  at: Position;
  playing: boolean;
  waits: boolean;
  speed: number;
  onPlay: () => void;
  onStep: (by: 1 | -1) => void;
  onGoTo: (step: number) => void;
  onSpeed: (speed: number) => void;
}

/** All steps by their time, what is done of them, and the buttons to play. */
export function TimeBar(props: Props) {
  const { rehearsal, at, playing, waits, speed, onPlay, onStep, onGoTo, onSpeed } = props;
  return (
    <section
      aria-label="Time bar"
      className="flex shrink-0 items-center gap-2 border-t border-line bg-white px-4 py-2.5 max-md:flex-wrap"
    >
      <IconButton label="Step back" side="top" onClick={() => onStep(-1)}>
        <SkipBack size={19} aria-hidden />
      </IconButton>
      <Button look={waits ? "plain" : "main"} className="w-[92px]" onClick={onPlay}>
        {playing ? <Pause size={17} aria-hidden /> : <Play size={17} aria-hidden />}
        {playing ? "Pause" : "Play"}
      </Button>
      <IconButton label="Step forward" side="top" onClick={() => onStep(1)}>
        <SkipForward size={19} aria-hidden />
      </IconButton>
      <ol className="flex h-[34px] min-w-0 flex-1 items-end gap-[2px] overflow-x-auto max-md:order-last max-md:basis-full">
        {rehearsal.steps.map((step, i) => {
          const done = i < at.step ? 1 : i === at.step ? at.share : 0;
          const thread = rehearsal.threads.find((known) => known.number === step.thread);
          const label = `Step ${step.number}, ${step.kind === "hand" ? "hands" : "stitches"}: ${step.ownerName}, ${step.role}`;
          return (
            <li
              key={step.number}
              className="min-w-[8px]"
              style={{ flexGrow: Math.max(step.seconds, 8), flexBasis: 0 }}
            >
              <button
                type="button"
                aria-label={label}
                title={label}
                aria-current={i === at.step ? "step" : undefined}
                data-kind={step.kind}
                onClick={() => onGoTo(i)}
                className="relative block h-[22px] w-full overflow-hidden rounded-[3px] border border-ink/25 bg-chalk data-[kind=hand]:h-[32px] data-[kind=hand]:border-[#a86b00] data-[kind=hand]:bg-marigold aria-[current=step]:outline-2 aria-[current=step]:outline-offset-1 aria-[current=step]:outline-indigo"
              >
                {step.kind === "stitch" ? (
                  <span
                    className="absolute inset-y-0 left-0"
                    style={{ width: `${done * 100}%`, backgroundColor: thread?.colour }}
                  />
                ) : null}
              </button>
            </li>
          );
        })}
      </ol>
      <Choice
        label="Speed"
        labelHidden
        className="w-[128px]"
        value={String(speed)}
        options={SPEEDS.map((each) => ({
          value: String(each),
          label: each === 1 ? "machine speed" : `${each} × faster`,
        }))}
        onChosen={(value) => onSpeed(Number(value))}
      />
    </section>
  );
}
