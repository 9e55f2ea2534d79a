import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answered, api, Refused } from "../../api/client";
import { keys, useCatalogue } from "../../api/queries";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { FormPanel } from "../../parts/FormPanel";
import { inches } from "../../state/lengths";

interface Props {
  onClose: () => void;
}

/** Asks for a name and the hoop; the hoop comes first. */
export function NewProjectPanel({ onClose }: Props) {
  const catalogue = useCatalogue();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const [hoop, setHoop] = useState(1);
  const [wrong, setWrong] = useState<string | null>(null);
  const hoops = catalogue.data?.hoops ?? [];

  const make = async () => {
    const field = hoops[hoop];
    try {
      const made = await answered(
        api.POST("/api/projects", {
          body: {
            title: title.trim() || undefined,
            fieldWidth: field?.fieldWidth,
            fieldHeight: field?.fieldHeight,
          },
        }),
      );
      await queries.invalidateQueries({ queryKey: keys.shelf });
      void navigate(`/p/${made.id}/wall`);
    } catch (refused) {
      setWrong(refused instanceof Refused ? refused.message : "That could not be done.");
    }
  };

  return (
    <FormPanel title="New project" action="Make project" onSent={make} onClose={onClose}>
      <Choice
        label="Hoop, by its sewing field"
        value={String(hoop)}
        options={hoops.map((each, i) => ({
          value: String(i),
          label: `${each.name} mm (${inches(each.fieldWidth)} × ${inches(each.fieldHeight)} in)`,
        }))}
        onChosen={(value) => setHoop(Number(value))}
      />
      <PlainField label="Name" value={title} placeholder="Untitled project" onChange={setTitle} />
      {wrong ? <p className="text-madder">{wrong}</p> : null}
    </FormPanel>
  );
}
