import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import type { Holding } from "../../../../api/client";
import { Segments } from "../../../../parts/fields/Segments";
import { Choice } from "../../../../parts/fields/Choice";
import { ClothField } from "../ClothField";
import { StageNote } from "./StageNote";
import type { ClothProps } from "../../card/elementProps";

/** Which cloth, and how it is applied. */
export function ClothAndMethod({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue();
  const methods = catalogue.data?.methods ?? [];
  const holdings = catalogue.data?.holdings ?? [];
  const chosen = methods.find((method) => method.id === element.making.method);
  return (
    <>
      <ClothField projectId={projectId} scene={scene} element={element} clothId={element.making.clothId} />
      <Segments
        label="Method"
        value={element.making.method}
        options={methods.map(({ id, name }) => ({ value: id, label: name }))}
        className="grid grid-cols-2 gap-1"
        onChosen={(method) => edits.edit({ edit: "setMethod", elementId: element.id, method })}
      />
      <p className="text-[13px] text-muted">{chosen?.summary}</p>
      {chosen ? <StageNote method={chosen} /> : null}
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
    </>
  );
}
