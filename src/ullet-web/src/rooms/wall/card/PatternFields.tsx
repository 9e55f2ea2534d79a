import { useState } from "react";
import { useEdits } from "../../../api/edits";
import { useCatalogue } from "../../../api/queries";
import type { AdditionsFate, ProjectPattern, Scene } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import { NumberField } from "../../../parts/fields/NumberField";
import { Section } from "../../../parts/Section";
import { TextField } from "../../../parts/fields/TextField";

interface Props {
  projectId: string;
  scene: Scene;
  pattern: ProjectPattern;
}

/** The pattern that the project was made from: its sizes, its words, and what it is made of. */
export function PatternFields({ projectId, scene, pattern }: Props) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue().data;
  const fontId = catalogue?.usualFontId ?? null;
  const fates = catalogue?.additionsFates ?? [];
  const [additions, setAdditions] = useState<AdditionsFate>("withMiddle");
  const fate = fates.find((known) => known.id === additions);
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
        <Section title="Your additions at another size" startsOpen={false} brief={fate?.name}>
          <Choice
            label="At another size they"
            value={additions}
            options={fates.map(({ id, name }) => ({ value: id, label: name }))}
            onChosen={(value) => setAdditions(fates.find(({ id }) => id === value)?.id ?? "withMiddle")}
          />
          <p className="text-[14px] text-muted">
            {pattern.additions.join(", ")}: {fate?.sentence}
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
