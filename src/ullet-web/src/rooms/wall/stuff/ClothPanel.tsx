import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import { keys, useCatalogue } from "../../../api/queries";
import type { Cloth, Scene } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { ColourField } from "../../../parts/fields/ColourField";
import { PlainField } from "../../../parts/fields/PlainField";
import { FormPanel } from "../../../parts/FormPanel";
import { ClothSwatch } from "../../../parts/Swatch";
import { ClothPhoto } from "../../../parts/stuff/ClothPhoto";
import { ExchangeField } from "./ExchangeField";
import { Tick } from "../../../parts/fields/Tick";
import { Note } from "../../../parts/Note";
import { Button } from "../../../parts/Button";
import { CLOTH_TEXTURES } from "../../../parts/clothTextures";
import { ClothPicker } from "../../../parts/stuff/StashPicker";

interface Props {
  projectId: string;
  /** The cloth to change; a new one when absent. */
  cloth?: Cloth;
  /** The project's other cloths. */
  others?: Cloth[];
  onClose: () => void;
  /** Called with the id of a cloth that was added. */
  onAdded?: (clothId: string) => void;
}

/** Name, colour, kind and pattern of a cloth. */
export function ClothPanel({ projectId, cloth, others = [], onClose, onAdded }: Props) {
  const edits = useEdits(projectId);
  const queries = useQueryClient();
  const kinds = useCatalogue().data?.clothKinds ?? [];
  const [draft, setDraft] = useState<Cloth>(
    cloth ?? {
      id: "",
      name: "",
      colour: "#7a93ac",
      kind: "wovenCotton",
      texture: "woven",
      patternColour: null,
    },
  );

  const [searching, setSearching] = useState(false);
  const preset = kinds.find((known) => known.id === draft.kind);

  const save = async () => {
    if (cloth) {
      if (await edits.edit({ edit: "changeCloth", cloth: draft })) onClose();
      return;
    }
    const { name, colour, kind, isDeepPile, texture, swatch } = draft;
    if (!(await edits.edit({ edit: "addCloth", name, colour, kind, isDeepPile, texture, swatch }))) return;
    const added = queries.getQueryData<Scene>(keys.scene(projectId))?.cloths.at(-1);
    if (added) onAdded?.(added.id);
    onClose();
  };

  return (
    <FormPanel
      title={cloth ? "Change the cloth" : "New cloth"}
      action={cloth ? "Change the cloth" : "Add the cloth"}
      onSent={save}
      onClose={onClose}
    >
      <PlainField
        label="Name"
        value={draft.name}
        onChange={(name) => setDraft((now) => ({ ...now, name }))}
      />
      <div className="grid grid-cols-[84px_1fr_1fr] items-end gap-3">
        <ColourField
          label="Colour"
          value={draft.colour}
          onChange={(colour) => setDraft((now) => ({ ...now, colour }))}
        />
        <Choice
          label="Kind"
          value={draft.kind ?? "wovenCotton"}
          options={kinds.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(kind) => setDraft((now) => ({ ...now, kind: kind as Cloth["kind"] }))}
        />
        <Choice
          label="Pattern"
          value={draft.texture ?? "woven"}
          mark={<ClothSwatch cloth={draft} />}
          options={CLOTH_TEXTURES}
          onChosen={(texture) => setDraft((now) => ({ ...now, texture: texture as Cloth["texture"] }))}
        />
      </div>
      <Tick
        label="Deep pile that stitches sink into"
        checked={draft.isDeepPile ?? false}
        onChanged={(on) => setDraft((now) => ({ ...now, isDeepPile: on }))}
      />
      {preset && preset.use === "surface" ? (
        <Note look="quiet">
          Stabiliser: {preset.stabiliser}. Needle: {preset.needle}.
          {preset.topping ? ` Topping: ${preset.topping}.` : ""} Covers on it begin with numbers that suit it;
          numbers set by hand stay.
        </Note>
      ) : null}
      <ClothPhoto cloth={draft} onChanged={(swatch) => setDraft((now) => ({ ...now, swatch }))} />
      {cloth ? <p className="text-[13px] text-muted">Every piece of this cloth changes with it.</p> : null}
      {cloth ? (
        <ExchangeField
          what="cloth"
          others={others}
          onChosen={(toId) =>
            edits
              .edit({ edit: "exchangeCloth", fromId: cloth.id, toId })
              .then((ok) => (ok ? onClose() : undefined))
          }
        />
      ) : null}
      {cloth ? (
        <Button className="self-start" onClick={() => setSearching(true)}>
          Exchange it for one of the stash
        </Button>
      ) : null}
      {cloth && searching ? (
        <ClothPicker
          title={`In place of ${cloth.name}`}
          onChosen={({ id }) =>
            edits
              .edit({ edit: "takeCloth", stashId: id, insteadOf: cloth.id })
              .then((ok) => (ok ? onClose() : undefined))
          }
          onClose={() => setSearching(false)}
        />
      ) : null}
    </FormPanel>
  );
}
