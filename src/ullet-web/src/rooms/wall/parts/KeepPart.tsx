import { useQueryClient } from "@tanstack/react-query";
import { PackagePlus } from "lucide-react";
import { useState } from "react";
import { answered, api, Refused } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { PlainField } from "../../../parts/fields/PlainField";
import { FormPanel } from "../../../parts/FormPanel";
import { say } from "../../../state/messages";
import { useWhenAsked } from "../../../verbs/asks";

interface Props {
  projectId: string;
  chosen: Element[];
}

/** Keeps what is selected as a part, under a name. */
export function KeepPart({ projectId, chosen }: Props) {
  const [open, setOpen] = useState(false);
  useWhenAsked("keepPart", () => setOpen(true));
  return (
    <>
      <Button onClick={() => setOpen(true)}>
        <PackagePlus size={16} aria-hidden />
        Keep as a part
      </Button>
      {open ? <KeepPanel projectId={projectId} chosen={chosen} onClose={() => setOpen(false)} /> : null}
    </>
  );
}

function KeepPanel({ projectId, chosen, onClose }: Props & { onClose: () => void }) {
  const queries = useQueryClient();
  const [name, setName] = useState(chosen.length === 1 ? (chosen[0]?.name ?? "") : "");
  const [tags, setTags] = useState("");
  const keep = async () => {
    try {
      await answered(
        api.POST("/api/parts", {
          body: {
            projectId,
            elementIds: chosen.map((element) => element.id),
            name,
            tags: tags
              .split(",")
              .map((tag) => tag.trim())
              .filter(Boolean),
          },
        }),
      );
      await queries.invalidateQueries({ queryKey: ["parts"] });
      say(`${name.trim()} stands on the shelf of parts now, for every project.`);
      onClose();
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };
  return (
    <FormPanel
      title="Keep as a part"
      action="Keep it"
      disabled={!name.trim()}
      onSent={keep}
      onClose={onClose}
    >
      <p className="text-[14px] text-muted">
        {chosen.length === 1 ? "It is" : `${chosen.length} elements are`} kept with their steps, what hands do
        between, their cloths and their threads, to be dropped into any project.
      </p>
      <PlainField label="Name" value={name} placeholder="Zip with its lines" onChange={setName} />
      <PlainField
        label="Tags, with commas between"
        value={tags}
        placeholder="zip, pouch"
        onChange={setTags}
      />
    </FormPanel>
  );
}
