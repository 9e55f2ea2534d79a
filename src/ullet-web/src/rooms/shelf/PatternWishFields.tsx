import { useState } from "react";
import type { Pattern } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { LengthField } from "../../parts/fields/LengthField";
import { PlainField } from "../../parts/fields/PlainField";
import { NumberField } from "../../parts/fields/NumberField";

/** What is asked of a pattern; what is left out is the usual. */
export interface PatternWish {
  numbers: Record<string, number>;
  texts: Record<string, string>;
  title: string;
}

interface Props {
  pattern: Pattern;
  wish: PatternWish;
  /** Called with what changes a wish: others may be on their way. */
  onChange: (change: (wish: PatternWish) => PatternWish) => void;
  /** Begins from a thing of a size, mm. */
  onBegin: (hardware: string, size: number) => Promise<void>;
}

/** Sizes, words and motifs of a pattern, and what it may begin from. */
export function PatternWishFields({ pattern, wish, onChange, onBegin }: Props) {
  return (
    <>
      {pattern.hardware.map((start) => (
        <Hardware key={start.id} start={start} onBegin={onBegin} />
      ))}
      <div className="grid grid-cols-3 gap-x-3 gap-y-2">
        {pattern.numbers.map((field) => {
          const value = wish.numbers[field.id] ?? field.usual;
          const take = (typed: number) =>
            onChange((now) => ({ ...now, numbers: { ...now.numbers, [field.id]: typed } }));
          return field.isCount ? (
            <NumberField key={field.id} label={field.label} value={value} digits={0} onTyped={take} />
          ) : (
            <LengthField key={field.id} label={field.label} value={value} unit="millimetre" onTyped={take} />
          );
        })}
      </div>
      <div className="grid grid-cols-3 gap-x-3 gap-y-2">
        {pattern.fillIns.map((fill) => {
          const text = wish.texts[fill.id] ?? fill.usual;
          const take = (typed: string) =>
            onChange((now) => ({ ...now, texts: { ...now.texts, [fill.id]: typed } }));
          return fill.choices.length ? (
            <Choice
              key={fill.id}
              label={fill.label}
              value={text}
              options={fill.choices.map((name) => ({ value: name, label: name }))}
              onChosen={take}
            />
          ) : (
            <PlainField key={fill.id} label={fill.label} value={text} onChange={take} />
          );
        })}
        <PlainField
          label="Name of the project"
          value={wish.title}
          placeholder={pattern.name}
          onChange={(title) => onChange((now) => ({ ...now, title }))}
        />
      </div>
    </>
  );
}

interface HardwareProps {
  start: Pattern["hardware"][number];
  onBegin: Props["onBegin"];
}

function Hardware({ start, onBegin }: HardwareProps) {
  const [size, setSize] = useState(start.usual);
  return (
    <div className="flex items-end gap-3 rounded-card border border-line px-3 py-2">
      <p className="pb-1.5 text-[14px]">Begin from what you have:</p>
      <div className="w-[230px]">
        <LengthField label={start.label} value={size} unit="millimetre" onTyped={setSize} />
      </div>
      <Button onClick={() => void onBegin(start.id, size)}>Size it for this</Button>
    </div>
  );
}
