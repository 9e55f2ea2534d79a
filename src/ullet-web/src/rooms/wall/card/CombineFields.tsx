import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { OperationChoice } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { useCatalogue } from "../../../api/queries";
import { Button } from "../../../parts/Button";
import { Choice } from "../../../parts/fields/Choice";
import { useView } from "../../../state/view";
import { withSources } from "../operations/sources";

interface Props {
  projectId: string;
  chosen: Element[];
}

/** Changes one of several selected elements with the others. */
export function CombineFields({ projectId, chosen }: Props) {
  const edits = useEdits(projectId);
  const choices = useCatalogue().data?.operations ?? [];
  const select = useView((view) => view.select);
  const [kept, setKept] = useState("");
  const key = chosen.find((element) => element.id === kept) ?? chosen[0];
  if (!key) return null;
  const combine = async (choice: OperationChoice) => {
    const others = chosen.filter((element) => element.id !== key.id).map((element) => element.id);
    const operation = withSources(choice.operation, others);
    if (await edits.edit({ edit: "addOperation", elementId: key.id, operation })) select([key.id]);
  };
  return (
    <>
      <Choice
        label="Element that changes"
        value={key.id}
        options={chosen.map((element) => ({ value: element.id, label: element.name }))}
        onChosen={setKept}
      />
      <div className="flex flex-wrap gap-2">
        {choices
          .filter((choice) => choice.asks)
          .map((choice) => (
            <Button key={choice.name} onClick={() => void combine(choice)}>
              {choice.name}
            </Button>
          ))}
      </div>
      <p className="text-[13px] text-muted">The others stay as they are; what is made follows them.</p>
    </>
  );
}
