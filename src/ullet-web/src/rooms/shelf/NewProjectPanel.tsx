import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { answered, api, Refused } from "../../api/client";
import { keys } from "../../api/queries";
import { useHoopOptions } from "../../frame/hoops";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { FormPanel } from "../../parts/FormPanel";

interface Props {
  onClose: () => void;
}

/** The hoop that is offered first. */
const USUAL = "130x180";

/** Asks for a name and the hoop; the hoop comes first. */
export function NewProjectPanel({ onClose }: Props) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [title, setTitle] = useState("");
  const [chosen, setHoop] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const hoops = useHoopOptions("millimetre");
  const hoop = hoops.find((each) => each.key === (chosen ?? USUAL)) ?? hoops[0];

  const make = async () => {
    try {
      const made = await answered(
        api.POST("/api/projects", {
          body: {
            title: title.trim() || undefined,
            fieldWidth: hoop?.width,
            fieldHeight: hoop?.height,
            hoopId: hoop?.own?.id,
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
        value={hoop?.key ?? ""}
        options={hoops.map(({ key, label }) => ({ value: key, label }))}
        onChosen={setHoop}
      />
      <PlainField label="Name" value={title} placeholder="Untitled project" onChange={setTitle} />
      {wrong ? <p className="text-madder">{wrong}</p> : null}
    </FormPanel>
  );
}
