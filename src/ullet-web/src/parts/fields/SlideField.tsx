import { Slider } from "radix-ui";
import { useRef, useState } from "react";
import { NumberField } from "./NumberField";

interface Props {
  label: string;
  value: number;
  least: number;
  most: number;
  step: number;
  unit?: string;
  digits: number;
  /** What the ends mean: "denser", "looser". */
  ends?: [string, string];
  hint?: string;
  onSlide: (value: number) => void;
  onTaken: (value: number) => unknown;
}

/** A number to slide (drawn while it moves, saved when it is let go) or to type. */
export function SlideField(props: Props) {
  const { label, value, least, most, step, unit, digits, ends, hint, onSlide, onTaken } = props;
  const [sliding, setSliding] = useState<number | null>(null);
  // With keys the slider reports a step as taken before it reports it as moved.
  const taken = useRef<number | null>(null);
  return (
    <div>
      <div className="grid grid-cols-[1fr_88px] items-end gap-3">
        <div className="pb-1">
          <div className="flex justify-between text-[13px] text-muted" aria-hidden>
            <span>{ends?.[0]}</span>
            <span>{ends?.[1]}</span>
          </div>
          <Slider.Root
            className="relative flex h-6 w-full touch-none items-center select-none"
            min={least}
            max={most}
            step={step}
            value={[sliding ?? value]}
            onValueChange={([next]) => {
              if (next === undefined) return;
              const over = next === taken.current;
              taken.current = null;
              if (over) return;
              setSliding(next);
              onSlide(next);
            }}
            onValueCommit={([next]) => {
              setSliding(null);
              taken.current = next ?? null;
              if (next !== undefined && next !== value) onTaken(next);
            }}
            onKeyDown={(event) => event.stopPropagation()}
          >
            <Slider.Track className="relative h-1 grow rounded-full bg-line">
              <Slider.Range className="absolute h-full rounded-full bg-indigo" />
            </Slider.Track>
            <Slider.Thumb
              aria-label={`${label}, slide`}
              className="block h-5 w-2.5 rounded-[3px] border border-white bg-indigo shadow"
            />
          </Slider.Root>
        </div>
        <NumberField label={label} value={sliding ?? value} unit={unit} digits={digits} onTyped={onTaken} />
      </div>
      {hint ? <p className="text-[13px] text-muted">{hint}</p> : null}
    </div>
  );
}
