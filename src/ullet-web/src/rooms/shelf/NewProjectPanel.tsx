import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { useNavigate } from "react-router";
import { answered, api, Refused } from "../../api/client";
import { keys, useCatalogue } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { Panel } from "../../parts/Panel";
import { inches } from "../../state/lengths";

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}

/** Asks for a name and the hoop; the hoop comes first. */
export function NewProjectPanel({ open, onOpenChange }: Props) {
  const catalogue = useCatalogue();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const [hoop, setHoop] = useState(1);
  const [wrong, setWrong] = useState<string | null>(null);
  const hoops = catalogue.data?.hoops ?? [];

  const make = async (event: FormEvent) => {
    event.preventDefault();
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
    <Panel title="New project" open={open} onOpenChange={onOpenChange}>
      <form onSubmit={(event) => void make(event)} className="space-y-4">
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
        <div className="flex justify-end gap-2">
          <Button data-lets-go onClick={() => onOpenChange(false)}>
            Cancel
          </Button>
          <Button look="main" type="submit">
            Make project
          </Button>
        </div>
      </form>
    </Panel>
  );
}
