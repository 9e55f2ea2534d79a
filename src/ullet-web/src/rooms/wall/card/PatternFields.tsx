import { useState } from "react";
import { useEdits } from "../../../api/edits";
import { useCatalogue } from "../../../api/queries";
import type { ProjectPattern, Scene } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import { NumberField } from "../../../parts/fields/NumberField";
import { Section } from "../../../parts/Section";
import { TextField } from "../../../parts/fields/TextField";

type Fate = "withMiddle" | "withEdge" | "grow" | "stay";

/** What becomes of own additions, in words. */
const FATES: Record<Fate, { label: string; sentence: string }> = {
  withMiddle: { label: "go with the middle", sentence: "moved with the middle of the panel, size kept." },
  withEdge: { label: "keep to the edge", sentence: "kept as far from the panel’s nearest edges, size kept." },
  grow: { label: "grow along", sentence: "moved and made larger or smaller with the panel." },
  stay: { label: "stay in place", sentence: "left where they are in the hoop, size kept." },
};

interface Props {
  projectId: string;
  scene: Scene;
  pattern: ProjectPattern;
}

/** The pattern that the project was made from: its sizes, its words, and what it is made of. */
export function PatternFields({ projectId, scene, pattern }: Props) {
  const edits = useEdits(projectId);
  const fontId = useCatalogue().data?.usualFontId ?? null;
  const [additions, setAdditions] = useState<Fate>("withMiddle");
  const use = { edit: "usePattern", patternId: pattern.id, fontId, additions } as const;
  const resize = (id: string, value: number) => edits.edit({ ...use, numbers: [{ id, value }] });
  const fill = (id: string, text: string) => edits.edit({ ...use, fillIns: [{ id, text }] });
  const choose = (id: string, optionId: string) => edits.edit({ ...use, choices: [{ id, optionId }] });
  return (
    <>
      <Section title={`Pattern: ${pattern.name.toLowerCase()}`}>
        <div className="grid grid-cols-2 gap-x-1.5 gap-y-2">
          {pattern.choices.map((choice) => (
            <Choice
              key={choice.id}
              label={choice.label}
              value={choice.chosen}
              options={choice.options.map((option) => ({ value: option.id, label: option.name }))}
              onChosen={(optionId) => choose(choice.id, optionId)}
            />
          ))}
          {pattern.numbers.map((field) =>
            field.isCount ? (
              <NumberField
                key={field.id}
                label={field.label}
                value={field.value}
                digits={0}
                onTyped={(value) => resize(field.id, value)}
              />
            ) : (
              <LengthField
                key={field.id}
                label={field.label}
                value={field.value}
                unit={scene.unit}
                onTyped={(value) => resize(field.id, value)}
              />
            ),
          )}
          {pattern.fillIns.map((field) =>
            field.choices.length ? (
              <Choice
                key={field.id}
                label={field.label}
                value={field.text}
                options={field.choices.map((name) => ({ value: name, label: name }))}
                onChosen={(text) => fill(field.id, text)}
              />
            ) : (
              <TextField
                key={field.id}
                label={field.label}
                value={field.text}
                placeholder="left out"
                onTyped={(text) => fill(field.id, text)}
              />
            ),
          )}
        </div>
      </Section>
      {pattern.additions.length ? (
        <Section title="Your additions at another size" startsOpen={false} brief={FATES[additions].label}>
          <Choice
            label="At another size they"
            value={additions}
            options={Object.entries(FATES).map(([value, { label }]) => ({ value, label }))}
            onChosen={(value) => setAdditions(value as Fate)}
          />
          <p className="text-[14px] text-muted">
            {pattern.additions.join(", ")}: {FATES[additions].sentence}
          </p>
        </Section>
      ) : null}
      <Section
        title="What to cut"
        startsOpen={false}
        brief={`${new Set(pattern.cloths.map((cloth) => cloth.clothId)).size} cloths`}
      >
        <ul className="divide-y divide-line">
          {[...new Set(pattern.cloths.map((cloth) => cloth.clothId))].map((clothId) => {
            const pieces = pattern.cloths.filter((cloth) => cloth.clothId === clothId);
            return (
              <li key={clothId} className="py-1.5 text-[14px]">
                <span className="font-semibold">{pieces[0]?.name}</span>
                {pieces.map((piece) => (
                  <span key={piece.use} className="block">
                    {piece.use}
                    {piece.count > 1 ? `, ${piece.count} of them` : ""}
                    <span className="text-muted">
                      {piece.size ? `: ${piece.size}` : ""}
                      {piece.advice ? `; ${piece.advice}` : ""}
                    </span>
                  </span>
                ))}
              </li>
            );
          })}
        </ul>
        {pattern.advice.map((sentence) => (
          <p key={sentence} className="text-[14px] text-muted">
            {sentence}
          </p>
        ))}
      </Section>
    </>
  );
}
