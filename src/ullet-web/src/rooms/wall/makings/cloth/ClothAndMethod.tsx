import { Pencil, Plus } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import type { Holding } from "../../../../api/client";
import { Segments } from "../../../../parts/fields/Segments";
import { Choice } from "../../../../parts/fields/Choice";
import { IconButton } from "../../../../parts/IconButton";
import { ClothSwatch } from "../../../../parts/Swatch";
import { ClothPanel } from "../../stuff/ClothPanel";
import type { ClothProps } from "../../card/elementProps";

/** Which cloth, and how it is applied. */
export function ClothAndMethod({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue();
  const [asking, setAsking] = useState<"new" | "change" | null>(null);
  const cloth = scene.cloths.find((known) => known.id === element.making.clothId);
  const methods = catalogue.data?.methods ?? [];
  const holdings = catalogue.data?.holdings ?? [];
  const chosen = methods.find((method) => method.id === element.making.method);
  return (
    <>
      <div className="grid grid-cols-[1fr_auto_auto] items-end gap-1.5">
        <Choice
          label="Cloth"
          value={element.making.clothId}
          mark={<ClothSwatch cloth={cloth} />}
          options={scene.cloths.map((known) => ({ value: known.id, label: known.name }))}
          onChosen={(clothId) => edits.edit({ edit: "setPieceCloth", elementId: element.id, clothId })}
        />
        <IconButton label="Change this cloth" side="left" onClick={() => setAsking("change")}>
          <Pencil size={16} aria-hidden />
        </IconButton>
        <IconButton label="New cloth" side="left" onClick={() => setAsking("new")}>
          <Plus size={18} aria-hidden />
        </IconButton>
      </div>
      <Segments
        label="Method"
        value={element.making.method}
        options={methods.map(({ id, name }) => ({ value: id, label: name }))}
        className="grid grid-cols-2 gap-1"
        onChosen={(method) => edits.edit({ edit: "setMethod", elementId: element.id, method })}
      />
      <p className="text-[13px] text-muted">{chosen?.summary}</p>
      {chosen?.lays ? (
        <Choice
          label="Kept in place by"
          value={element.making.holding}
          options={holdings.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(holding) =>
            edits.edit({
              edit: "setMethod",
              elementId: element.id,
              method: element.making.method,
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
          onAdded={(clothId) => edits.edit({ edit: "setPieceCloth", elementId: element.id, clothId })}
        />
      ) : null}
    </>
  );
}
