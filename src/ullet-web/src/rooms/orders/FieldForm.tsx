import { useState } from "react";
import type { Scene } from "../../api/client";
import type { FillIn } from "../../api/orders";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { Tick } from "../../parts/fields/Tick";

type Lettered = Extract<FillIn, { kind?: "words" | "number" }>;

interface Props {
  fillIn: FillIn;
  scene: Scene;
  isOfPattern: boolean;
  onTaken: (fillIn: FillIn) => Promise<void>;
}

/** Label, group and example of a fill-in, and the rules by which words are fitted. */
export function FieldForm({ fillIn, scene, isOfPattern, onTaken }: Props) {
  const [now, setNow] = useState(fillIn);
  const lettered = now.kind === "words" || now.kind === "number" ? now : null;
  const name = (label: string) => setNow({ ...now, label });
  return (
    <div className="space-y-3 py-3">
      <div className="grid grid-cols-3 gap-x-3 gap-y-2">
        <PlainField label="What it is called" value={now.label} onChange={name} />
        <PlainField
          label="Its group"
          value={now.group ?? ""}
          onChange={(group) => setNow({ ...now, group: group || null })}
        />
        <PlainField
          label="An example"
          value={now.example ?? ""}
          onChange={(example) => setNow({ ...now, example: example || null })}
        />
      </div>
      {lettered ? (
        <LetteredFields now={lettered} scene={scene} isOfPattern={isOfPattern} onChange={setNow} />
      ) : null}
      <Button look="main" onClick={() => void onTaken(now)}>
        Keep these rules
      </Button>
    </div>
  );
}

interface LetteredProps {
  now: Lettered;
  scene: Scene;
  isOfPattern: boolean;
  onChange: (fillIn: Lettered) => void;
}

function LetteredFields({ now, scene, isOfPattern, onChange }: LetteredProps) {
  const fit = now.fit ?? {};
  const set = (change: Partial<NonNullable<Lettered["fit"]>>) =>
    onChange({ ...now, fit: { ...fit, ...change } });
  const inside = scene.elements.filter((element) => element.form.kind !== "words");
  return (
    <>
      <div className="grid grid-cols-4 gap-x-3 gap-y-2">
        {now.kind === "words" ? (
          <>
            <Choice
              label="Characters"
              value={now.characters ?? "any"}
              options={[
                { value: "any", label: "any" },
                { value: "letters", label: "letters" },
                { value: "lettersAndFigures", label: "letters and figures" },
                { value: "figures", label: "figures" },
              ]}
              onChosen={(characters) => onChange({ ...now, characters: characters as typeof now.characters })}
            />
            <Figure
              label="Longest, characters"
              value={now.longest ?? 24}
              onTyped={(longest) => onChange({ ...now, longest })}
            />
          </>
        ) : null}
        {now.kind === "number" ? (
          <>
            <Figure
              label="Smallest number"
              value={now.least ?? 1}
              onTyped={(least) => onChange({ ...now, least })}
            />
            <Figure
              label="Largest number"
              value={now.most ?? 999}
              onTyped={(most) => onChange({ ...now, most })}
            />
            <Figure
              label="Figures after the point"
              value={now.decimals ?? 0}
              onTyped={(decimals) => onChange({ ...now, decimals })}
            />
            <Figure
              label="Noughts up to, figures"
              value={now.figures ?? 0}
              onTyped={(figures) => onChange({ ...now, figures })}
            />
          </>
        ) : null}
        <Figure
          label="Smallest height, mm"
          value={fit.smallestHeight ?? 5}
          onTyped={(smallestHeight) => set({ smallestHeight })}
        />
        <Figure
          label="Largest height, mm"
          value={fit.largestHeight ?? null}
          placeholder="as in the project"
          onTyped={(largestHeight) => set({ largestHeight })}
          onEmpty={() => set({ largestHeight: null })}
        />
        <Figure
          label="Narrowed to, %"
          value={Math.round((fit.narrowedTo ?? 0.85) * 100)}
          onTyped={(percent) => set({ narrowedTo: percent / 100 })}
        />
        <Figure label="Most lines" value={fit.mostLines ?? 1} onTyped={(mostLines) => set({ mostLines })} />
        <Choice
          label="A new line may begin"
          value={fit.breaksAt ?? "spaces"}
          options={[
            { value: "spaces", label: "at a space" },
            { value: "spacesAndHyphens", label: "at a space or a hyphen" },
            { value: "asTyped", label: "only where one was typed" },
          ]}
          onChosen={(breaksAt) => set({ breaksAt: breaksAt as typeof fit.breaksAt })}
        />
        {isOfPattern ? null : (
          <Choice
            label="Its room"
            value={fit.insideOf ?? ""}
            options={[
              { value: "", label: "the box it has" },
              ...inside.map((element) => ({ value: element.id, label: `inside ${element.name}` })),
            ]}
            onChosen={(id) => set(id ? { insideOf: id, room: null } : { insideOf: null })}
          />
        )}
        <Choice
          label="Where it is empty"
          value={now.whenEmpty ?? "leaveFree"}
          options={[
            { value: "leaveFree", label: "leave its steps out" },
            { value: "closeUp", label: "leave out, others close up" },
            { value: "instead", label: "set another text" },
          ]}
          onChosen={(whenEmpty) => onChange({ ...now, whenEmpty: whenEmpty as Lettered["whenEmpty"] })}
        />
        {now.whenEmpty === "instead" ? (
          <PlainField
            label="The other text"
            value={now.instead ?? ""}
            onChange={(instead) => onChange({ ...now, instead: instead || null })}
          />
        ) : null}
      </div>
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        <Tick
          label="All in capitals"
          checked={fit.allCapitals ?? false}
          onChanged={(allCapitals) => set({ allCapitals })}
        />
        <Tick
          label="Kept in the middle"
          checked={fit.keepCentred ?? true}
          onChanged={(keepCentred) => set({ keepCentred })}
        />
        <Tick
          label="Baseline kept"
          checked={fit.keepBaseline ?? false}
          onChanged={(keepBaseline) => set({ keepBaseline })}
        />
      </div>
    </>
  );
}

interface FigureProps {
  label: string;
  value: number | null;
  placeholder?: string;
  onTyped: (value: number) => void;
  onEmpty?: () => void;
}

/** A number in this form: taken as typed, judged by the server when the rules are kept. */
function Figure({ label, value, placeholder, onTyped, onEmpty }: FigureProps) {
  const [text, setText] = useState(value === null ? "" : String(value));
  return (
    <PlainField
      label={label}
      value={text}
      placeholder={placeholder}
      onChange={(typed) => {
        setText(typed);
        const number = Number(typed.replace(",", "."));
        if (typed.trim() === "") onEmpty?.();
        else if (Number.isFinite(number)) onTyped(number);
      }}
    />
  );
}
