import { Shapes } from "lucide-react";
import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, Refused } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { FormPanel } from "../../../parts/FormPanel";
import { PlainField } from "../../../parts/fields/PlainField";
import { say } from "../../../state/messages";

interface Props {
  projectId: string;
  chosen: Element[];
}

/** Puts what is selected on the shelf of drawings, under a name. */
export function KeepSketch({ projectId, chosen }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <Shapes size={16} aria-hidden />
        Put on the shelf of drawings
      </Button>
      {open ? <KeepPanel projectId={projectId} chosen={chosen} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function KeepPanel({ projectId, chosen, onClose }: Props & { onClose: () => void }) {
  const queries = useQueryClient();
  const [name, setName] = useState("");
  const [words, setWords] = useState("");
  const keep = async () => {
    try {
      await answered(
        api.POST("/api/sketches", {
          body: { projectId, elementIds: chosen.map((element) => element.id), name, words },
        }),
      );
      await queries.invalidateQueries({ queryKey: ["sketches"] });
      say(`${name.trim()} stands on the shelf of drawings now, for every project.`);
      onClose();
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };
  return (
    <FormPanel
      title="Put on the shelf of drawings"
      action="Put it there"
      disabled={!name.trim()}
      onSent={keep}
      onClose={onClose}
    >
      <p className="text-[14px] text-muted">
        {chosen.length} elements become one drawing that can be set in cloth, in thread or in line at any
        size. Letters and live operations become plain outlines in it; here everything stays as it is.
      </p>
      <PlainField label="What it shows" value={name} placeholder="Seed tray" onChange={setName} />
      <PlainField
        label="Other words to find it by"
        value={words}
        placeholder="spring, green"
        onChange={setWords}
      />
    </FormPanel>
  );
}
