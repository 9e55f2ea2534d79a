import { Trash2 } from "lucide-react";
import { useState } from "react";
import type { Scene } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import { Button } from "../../../parts/Button";
import { PlainField } from "../../../parts/fields/PlainField";
import { IconButton } from "../../../parts/IconButton";

interface Props {
  projectId: string;
  scene: Scene;
  /** Keeps only the cloths and threads of these; of the whole project without. */
  elementIds?: string[];
}

/** Colours of cloths and threads kept under names: seen side by side as small pictures, and chosen by one press. */
export function Colourways({ projectId, scene, elementIds }: Props) {
  const edits = useEdits(projectId);
  const [name, setName] = useState("");
  const keep = async () => {
    if (name.trim() && (await edits.edit({ edit: "keepColourway", name, elementIds }))) setName("");
  };
  return (
    <>
      {scene.colourways.length ? (
        <ul aria-label="Colourways" className="grid grid-cols-2 gap-2">
          {scene.colourways.map((own) => (
            <li key={own.id} className="relative">
              <button
                type="button"
                aria-pressed={own.isWorn}
                onClick={() => void edits.edit({ edit: "wearColourway", colourwayId: own.id })}
                className="w-full rounded-card border border-line bg-white p-1 text-left hover:bg-chalk aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
              >
                <img
                  src={`/api/projects/${projectId}/colourways/${own.id}/picture.png?rev=${scene.head}`}
                  alt=""
                  className="h-[96px] w-full object-contain"
                />
                <span className="block truncate pr-7 pl-1">{own.name}</span>
              </button>
              <span className="absolute right-1 bottom-0.5">
                <IconButton
                  label={`Let ${own.name} go`}
                  onClick={() => void edits.edit({ edit: "removeColourway", colourwayId: own.id })}
                >
                  <Trash2 size={15} aria-hidden />
                </IconButton>
              </span>
            </li>
          ))}
        </ul>
      ) : (
        <p className="text-[13px] text-muted">
          Keep the present colours under a name, change some cloths and threads, keep those too: then try them
          side by side.
        </p>
      )}
      <form
        className="mt-2 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          void keep();
        }}
      >
        <PlainField
          label="Keep the present colours as"
          value={name}
          placeholder="Winter"
          className="min-w-0 flex-1"
          onChange={setName}
        />
        <Button type="submit" disabled={!name.trim()}>
          Keep
        </Button>
      </form>
    </>
  );
}
