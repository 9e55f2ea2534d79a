import { useEffect, useRef, useState } from "react";
import type { Rehearsal } from "../../api/client";
import { HoopFilm } from "./HoopFilm";
import { advanced, isOver, SPEEDS, stepped, type Position } from "./playback";
import { RehearsalFacts } from "./RehearsalFacts";
import { StopCard } from "./StopCard";
import { TimeBar } from "./TimeBar";

interface Props {
  projectId: string;
  /** The state that is rehearsed. */
  head: number | string;
  hooping?: string;
  rehearsal: Rehearsal;
}

/** Plays a rehearsed file: hoop, stop card, time bar. */
export function RehearsalStage({ projectId, head, hooping, rehearsal }: Props) {
  const [at, setAt] = useState<Position>({ step: 0, share: 0 });
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<number>(SPEEDS[2]);
  const last = useRef<number | null>(null);
  const { steps } = rehearsal;
  const now = steps[at.step];
  const waits = now?.kind === "hand";

  useEffect(() => {
    if (!playing || waits) return;
    let asked = 0;
    const tick = (time: number) => {
      const passed = last.current === null ? 0 : (time - last.current) / 1000;
      last.current = time;
      setAt((before) => advanced(steps, before, Math.min(passed, 0.25) * speed));
      asked = requestAnimationFrame(tick);
    };
    asked = requestAnimationFrame(tick);
    return () => {
      cancelAnimationFrame(asked);
      last.current = null;
    };
  }, [playing, waits, speed, steps]);

  const goOn = () => {
    setAt((before) => stepped(steps, before, 1));
    setPlaying(true);
  };

  return (
    <>
      <div className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
        <HoopFilm rehearsal={rehearsal} at={at} />
        <aside
          aria-label="Machine"
          className="flex w-[372px] shrink-0 flex-col gap-3 overflow-y-auto border-l border-line bg-white p-4 max-lg:w-[320px] max-md:w-full max-md:overflow-visible max-md:border-l-0"
        >
          <StopCard
            projectId={projectId}
            head={head}
            hooping={hooping}
            rehearsal={rehearsal}
            at={at}
            over={isOver(rehearsal, at)}
            onDone={goOn}
            onAgain={() => {
              setPlaying(false);
              setAt({ step: 0, share: 0 });
            }}
          />
          <RehearsalFacts rehearsal={rehearsal} at={at} />
        </aside>
      </div>
      <TimeBar
        rehearsal={rehearsal}
        at={at}
        playing={playing && !waits}
        waits={waits}
        speed={speed}
        onPlay={() => {
          if (waits) goOn();
          else setPlaying(!playing);
        }}
        onStep={(by) => {
          setPlaying(false);
          setAt((before) => stepped(steps, before, by));
        }}
        onGoTo={(step) => {
          setPlaying(false);
          setAt({ step, share: 0 });
        }}
        onSpeed={setSpeed}
      />
    </>
  );
}
