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
  choices: Record<string, string>;
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
  const chosen = (id: string) =>
    wish.choices[id] ?? pattern.choices.find((choice) => choice.id === id)?.usual ?? "";
  const isAsked = (only: Pattern["choices"][number]["only"]) =>
    !only || only.options.includes(chosen(only.choiceId));
  const sentences = pattern.choices
    .filter((choice) => isAsked(choice.only))
    .map((choice) => choice.options.find((option) => option.id === chosen(choice.id))?.sentence)
    .filter(Boolean);
  return (
    <>
      {pattern.choices.length ? (
        <div>
          <div className="grid grid-cols-3 gap-x-3 gap-y-2">
            {pattern.choices
              .filter((choice) => isAsked(choice.only))
              .map((choice) => (
                <Choice
                  key={choice.id}
                  label={choice.label}
                  value={chosen(choice.id)}
                  options={choice.options
                    .filter((option) => !option.needsDrawing)
                    .map((option) => ({ value: option.id, label: option.name }))}
                  onChosen={(option) =>
                    onChange((now) => ({ ...now, choices: { ...now.choices, [choice.id]: option } }))
                  }
                />
              ))}
          </div>
          {sentences.length ? <p className="pt-1 text-[14px] text-muted">{sentences.join(" ")}</p> : null}
        </div>
      ) : null}
      <Hardware starts={pattern.hardware} onBegin={onBegin} />
      <div className="grid grid-cols-3 gap-x-3 gap-y-2">
        {pattern.numbers
          .filter((field) => isAsked(field.only))
          .map((field) => {
            const value = wish.numbers[field.id] ?? field.usual;
            const take = (typed: number) =>
              onChange((now) => ({ ...now, numbers: { ...now.numbers, [field.id]: typed } }));
            return field.isCount ? (
              <NumberField key={field.id} label={field.label} value={value} digits={0} onTyped={take} />
            ) : (
              <LengthField
                key={field.id}
                label={field.label}
                value={value}
                unit="millimetre"
                onTyped={take}
              />
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
  starts: Pattern["hardware"];
  onBegin: Props["onBegin"];
}

/** Begins from a thing that is there already: which, and how long it is. */
function Hardware({ starts, onBegin }: HardwareProps) {
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [sizes, setSizes] = useState<Record<string, number>>({});
  const start = starts.find((known) => known.id === chosenId) ?? starts[0];
  if (!start) {
    return null;
  }
  const size = sizes[start.id] ?? start.usual;
  return (
    <div className="flex items-end gap-3 rounded-card border border-line px-3 py-2">
      {starts.length > 1 ? (
        <div className="w-[280px]">
          <Choice
            label="Begin from what you have"
            value={start.id}
            options={starts.map((known) => ({ value: known.id, label: known.label }))}
            onChosen={setChosenId}
          />
        </div>
      ) : (
        <p className="pb-1.5 text-[14px]">Begin from what you have:</p>
      )}
      <div className="w-[150px]">
        <LengthField
          label={starts.length > 1 ? "Its length" : start.label}
          value={size}
          unit="millimetre"
          onTyped={(typed) => setSizes((now) => ({ ...now, [start.id]: typed }))}
        />
      </div>
      <Button onClick={() => void onBegin(start.id, size)}>Size it for this</Button>
    </div>
  );
}
