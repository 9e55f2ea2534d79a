import { useState } from "react";
import type { Pattern } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/Choice";
import { LengthField } from "../../parts/LengthField";
import { NumberField } from "../../parts/NumberField";

/** What is asked of a pattern; what is left out is the usual. */
export interface PatternWish {
  numbers: Record<string, number>;
  texts: Record<string, string>;
  title: string;
}

interface Props {
  pattern: Pattern;
  wish: PatternWish;
  onChange: (wish: PatternWish) => void;
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
            onChange({ ...wish, numbers: { ...wish.numbers, [field.id]: typed } });
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
          const take = (typed: string) => onChange({ ...wish, texts: { ...wish.texts, [fill.id]: typed } });
          return fill.choices.length ? (
            <Choice
              key={fill.id}
              label={fill.label}
              value={text}
              options={fill.choices.map((name) => ({ value: name, label: name }))}
              onChosen={take}
            />
          ) : (
            <Typed key={fill.id} label={fill.label} value={text} onChange={take} />
          );
        })}
        <Typed
          label="Name of the project"
          value={wish.title}
          placeholder={pattern.name}
          onChange={(title) => onChange({ ...wish, title })}
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

interface TypedProps {
  label: string;
  value: string;
  placeholder?: string;
  onChange: (text: string) => void;
}

function Typed({ label, value, placeholder, onChange }: TypedProps) {
  return (
    <label className="block min-w-0">
      <span className="block text-[13px] text-muted">{label}</span>
      <input
        value={value}
        placeholder={placeholder}
        className="h-8 w-full rounded-card border border-line px-2"
        onChange={(event) => onChange(event.target.value)}
      />
    </label>
  );
}
