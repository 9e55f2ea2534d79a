import { useEdits } from "../../../api/edits";
import { useCatalogue } from "../../../api/queries";
import { Choice } from "../../../parts/fields/Choice";
import type { ElementProps } from "./elementProps";

/** What is made of an element's form; settings of what it was before are kept. */
export function MadeAs({ projectId, element }: ElementProps) {
  const edits = useEdits(projectId);
  const makings = useCatalogue().data?.makings ?? [];
  const chosen = makings.find((making) => making.kind === element.making.kind);
  return (
    <div className="px-4 pb-2">
      <Choice
        label="Made as"
        value={element.making.kind}
        options={makings
          .filter((making) => element.makings.includes(making.kind))
          .map((making) => ({ value: making.kind, label: making.name }))}
        onChosen={(kind) => edits.edit({ edit: "setMaking", elementId: element.id, kind })}
      />
      <p className="mt-1 text-[13px] text-muted">{chosen?.summary}</p>
    </div>
  );
}
