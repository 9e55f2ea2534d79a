import { Pencil, Plus } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import { Choice } from "../../../parts/fields/Choice";
import { IconButton } from "../../../parts/IconButton";
import { Note } from "../../../parts/Note";
import { ClothSwatch } from "../../../parts/Swatch";
import type { ElementProps } from "../card/elementProps";
import { ClothPanel } from "../stuff/ClothPanel";
import { FROM_STASH, useClothTake } from "../stuff/useStashTake";

/** Which cloth something is cut from; what it lies on is named where that is the same. */
export function ClothField({ projectId, scene, element, clothId }: ElementProps & { clothId: string }) {
  const edits = useEdits(projectId);
  const [asking, setAsking] = useState<"new" | "change" | null>(null);
  const cloth = scene.cloths.find((known) => known.id === clothId);
  const same = scene.findings.find(
    (finding) => finding.code === "cloth-on-itself" && finding.elementId === element.id,
  );
  const take = (id: string) => edits.edit({ edit: "setPieceCloth", elementId: element.id, clothId: id });
  const { open, panel } = useClothTake(projectId, take);
  return (
    <>
      {panel}
      <div className="grid grid-cols-[1fr_auto_auto] items-end gap-1.5">
        <Choice
          label="Cloth"
          value={clothId}
          mark={<ClothSwatch cloth={cloth} />}
          options={[...scene.cloths.map((known) => ({ value: known.id, label: known.name })), FROM_STASH]}
          onChosen={(id) => (id === FROM_STASH.value ? open() : take(id))}
        />
        <IconButton label="Change this cloth" side="left" onClick={() => setAsking("change")}>
          <Pencil size={16} aria-hidden />
        </IconButton>
        <IconButton label="New cloth" side="left" onClick={() => setAsking("new")}>
          <Plus size={18} aria-hidden />
        </IconButton>
      </div>
      {same ? <Note>{same.words}</Note> : null}
      {asking ? (
        <ClothPanel
          projectId={projectId}
          cloth={asking === "change" ? cloth : undefined}
          onClose={() => setAsking(null)}
          onAdded={take}
        />
      ) : null}
    </>
  );
}
