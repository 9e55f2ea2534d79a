import { useState } from "react";
import type { StashCloth } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { CLOTH_TEXTURES, GRAINS } from "../../parts/clothTextures";
import { Choice } from "../../parts/fields/Choice";
import { ColourField } from "../../parts/fields/ColourField";
import { LengthField } from "../../parts/fields/LengthField";
import { PlainField } from "../../parts/fields/PlainField";
import { Tick } from "../../parts/fields/Tick";
import { FormPanel } from "../../parts/FormPanel";
import { ClothPhoto } from "../../parts/stuff/ClothPhoto";
import { useStash } from "./useStash";

interface Props {
  /** The cloth to change; a new one when absent. */
  cloth?: StashCloth;
  onClose: () => void;
}

/** A cloth of the stash: kind, photo, width, grain, what is left. */
export function OwnClothPanel({ cloth, onClose }: Props) {
  const { keepCloth } = useStash();
  const kinds = useCatalogue().data?.clothKinds ?? [];
  const [draft, setDraft] = useState<StashCloth>(
    cloth ?? { id: "", name: "", kind: "wovenCotton", colour: "#7a93ac", texture: "woven", grain: "free" },
  );
  const [wrong, setWrong] = useState<string | null>(null);
  const set = (part: Partial<StashCloth>) => setDraft((now) => ({ ...now, ...part }));
  const keep = async () => {
    const why = await keepCloth(draft);
    if (why) setWrong(why);
    else onClose();
  };
  return (
    <FormPanel
      title={cloth ? "Change the cloth" : "New cloth of the stash"}
      action={cloth ? "Change the cloth" : "Add the cloth"}
      onSent={keep}
      onClose={onClose}
    >
      <PlainField label="Name" value={draft.name} onChange={(name) => set({ name })} />
      <div className="grid grid-cols-[84px_1fr_1fr] items-end gap-3">
        <ColourField label="Colour" value={draft.colour} onChange={(colour) => set({ colour })} />
        <Choice
          label="Kind"
          value={draft.kind}
          options={kinds.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(kind) => set({ kind: kind as StashCloth["kind"] })}
        />
        <Choice
          label="Pattern"
          value={draft.texture ?? "woven"}
          options={CLOTH_TEXTURES}
          onChosen={(texture) => set({ texture: texture as StashCloth["texture"] })}
        />
      </div>
      <div className="grid grid-cols-3 gap-3">
        <LengthField
          label="Width"
          value={draft.width ?? null}
          unset="not said"
          unit="millimetre"
          onTyped={(width) => set({ width })}
        />
        <LengthField
          label="Length left"
          value={draft.leftLength ?? null}
          unset="not said"
          unit="millimetre"
          onTyped={(leftLength) => set({ leftLength })}
        />
        <Choice
          label="Grain: pieces lie"
          value={draft.grain ?? "free"}
          options={GRAINS}
          onChosen={(grain) => set({ grain: grain as StashCloth["grain"] })}
        />
      </div>
      <Tick
        label="Deep pile that stitches sink into"
        checked={draft.isDeepPile ?? false}
        onChanged={(isDeepPile) => set({ isDeepPile })}
      />
      <ClothPhoto cloth={draft} onChanged={(swatch) => set({ swatch })} />
      <PlainField
        label="Note"
        value={draft.note ?? ""}
        placeholder="third drawer; for the autumn stall"
        onChange={(note) => set({ note })}
      />
      {wrong ? <p className="text-madder">{wrong}</p> : null}
    </FormPanel>
  );
}
