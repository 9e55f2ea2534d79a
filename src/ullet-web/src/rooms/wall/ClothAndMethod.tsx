import { Pencil, Plus } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { Holding } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { IconButton } from "../../parts/IconButton";
import { ClothSwatch } from "../../parts/Swatch";
import { ClothPanel } from "./ClothPanel";
import type { ClothProps } from "./elementProps";

const HOLDINGS: { value: Holding; label: string }[] = [
  { value: "taped", label: "tape" },
  { value: "fused", label: "a fusible backing" },
  { value: "nothing", label: "hands only" },
];

/** Which cloth, and how it is applied. */
export function ClothAndMethod({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue();
  const [asking, setAsking] = useState<"new" | "change" | null>(null);
  const cloth = scene.cloths.find((known) => known.id === element.cloth.id);
  const methods = catalogue.data?.methods ?? [];
  const chosen = methods.find((method) => method.id === element.cloth.method);
  return (
    <>
      <div className="grid grid-cols-[1fr_auto_auto] items-end gap-1.5">
        <Choice
          label="Cloth"
          value={element.cloth.id}
          mark={<ClothSwatch cloth={cloth} />}
          options={scene.cloths.map((known) => ({ value: known.id, label: known.name }))}
          onChosen={(clothId) => void edits.edit({ edit: "setPieceCloth", elementId: element.id, clothId })}
        />
        <IconButton label="Change this cloth" side="left" onClick={() => setAsking("change")}>
          <Pencil size={16} aria-hidden />
        </IconButton>
        <IconButton label="New cloth" side="left" onClick={() => setAsking("new")}>
          <Plus size={18} aria-hidden />
        </IconButton>
      </div>
      <div
        role="radiogroup"
        aria-label="Method"
        className="grid grid-cols-2 rounded-card border border-line p-0.5"
      >
        {methods.map((method) => (
          <button
            key={method.id}
            type="button"
            role="radio"
            aria-checked={method.id === element.cloth.method}
            className="rounded-[6px] px-0.5 py-1 text-[13px] hover:bg-chalk aria-checked:bg-indigo aria-checked:text-white"
            onClick={() => void edits.edit({ edit: "setMethod", elementId: element.id, method: method.id })}
          >
            {method.name}
          </button>
        ))}
      </div>
      <p className="text-[13px] text-muted">{chosen?.summary}</p>
      {chosen?.lays ? (
        <Choice
          label="Kept in place by"
          value={element.cloth.holding}
          options={HOLDINGS}
          onChosen={(holding) =>
            void edits.edit({
              edit: "setMethod",
              elementId: element.id,
              method: element.cloth.method,
              holding: holding as Holding,
            })
          }
        />
      ) : null}
      {asking ? (
        <ClothPanel
          projectId={projectId}
          cloth={asking === "change" ? cloth : undefined}
          onClose={() => setAsking(null)}
          onAdded={(clothId) => void edits.edit({ edit: "setPieceCloth", elementId: element.id, clothId })}
        />
      ) : null}
    </>
  );
}
