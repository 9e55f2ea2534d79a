import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { useCatalogue, useFonts } from "../../../api/queries";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import { TextField } from "../../../parts/fields/TextField";
import { ClothSwatch, ThreadSwatch } from "../../../parts/Swatch";
import { useStitchUnit } from "../../../state/units";
import { choicesOf, common, type TraitRow } from "./traits";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

/** What several elements have in common: where they differ it says so, and what is set goes to all of them. */
export function TraitFields({ projectId, scene, chosen }: Props) {
  const traits = useCatalogue().data?.traits ?? [];
  const shown = traits.filter(
    (trait) => trait.canBeSet && chosen.some((element) => element.traits[trait.id]),
  );
  return (
    <div className="grid grid-cols-2 gap-x-1.5 gap-y-2.5">
      {shown.map((trait) => (
        <div key={trait.id} className={trait.source === "length" ? "" : "col-span-2"}>
          <TraitField projectId={projectId} scene={scene} chosen={chosen} trait={trait} />
        </div>
      ))}
    </div>
  );
}

const MIXED = "\u0000mixed";

function TraitField({ projectId, scene, chosen, trait }: Props & { trait: TraitRow }) {
  const edits = useEdits(projectId);
  const fonts = useFonts().data ?? [];
  const stitchUnit = useStitchUnit();
  const having = chosen.filter((element) => element.traits[trait.id]);
  const value = common(trait, having);
  const set = (part: { word: string } | { length: number }) =>
    edits.edit({
      edit: "setTrait",
      elementIds: having.map((element) => element.id),
      trait: trait.id,
      ...part,
    });
  const label =
    having.length === chosen.length ? trait.name : `${trait.name} · ${having.length} of ${chosen.length}`;

  if (trait.source === "length")
    return (
      <LengthField
        label={label}
        value={value ? value.length : null}
        unit={trait.id.startsWith("cover") ? stitchUnit : scene.unit}
        digits={value && Math.abs(value.length * 10 - Math.round(value.length * 10)) > 1e-6 ? 2 : 1}
        onTyped={(length) => set({ length })}
      />
    );
  if (trait.source === "text")
    return (
      <TextField
        label={label}
        value={value?.word ?? ""}
        placeholder={value ? "such as: date, weight" : "mixed"}
        onTyped={(word) => set({ word })}
      />
    );
  const choices = choicesOf(trait, scene, fonts).filter(
    ({ word }) => trait.id !== "making" || having.every((element) => element.makings.includes(word)),
  );
  const missing =
    value && !choices.some(({ word }) => word === value.word) ? [{ word: value.word, name: "as it is" }] : [];
  return (
    <Choice
      label={label}
      value={value?.word ?? MIXED}
      mark={value ? <Mark trait={trait} scene={scene} word={value.word} /> : null}
      options={[
        ...(value ? [] : [{ value: MIXED, label: "mixed" }]),
        ...[...missing, ...choices].map(({ word, name }) => ({ value: word, label: name })),
      ]}
      onChosen={(word) => (word === MIXED ? undefined : set({ word }))}
    />
  );
}

/** The picture before a cloth or a thread. */
export function Mark({ trait, scene, word }: { trait: TraitRow; scene: Scene; word: string }) {
  if (trait.source === "cloths") return <ClothSwatch cloth={scene.cloths.find(({ id }) => id === word)} />;
  if (trait.source === "threads")
    return <ThreadSwatch colour={scene.threads.find(({ id }) => id === word)?.colour ?? "#ffffff"} />;
  return null;
}
