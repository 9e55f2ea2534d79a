import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Thread } from "../../../api/client";
import { ColourField } from "../../../parts/fields/ColourField";
import { PlainField } from "../../../parts/fields/PlainField";
import { FormPanel } from "../../../parts/FormPanel";

interface Props {
  projectId: string;
  /** The thread to change; a new one when absent. */
  thread?: Thread;
  onClose: () => void;
}

/** Name and colour of a thread. */
export function ThreadPanel({ projectId, thread, onClose }: Props) {
  const edits = useEdits(projectId);
  const [name, setName] = useState(thread?.name ?? "");
  const [colour, setColour] = useState(thread?.colour ?? "#3f5f7a");

  const save = async () => {
    const ok = thread
      ? await edits.edit({ edit: "changeThread", thread: { ...thread, name, colour } })
      : await edits.edit({ edit: "addThread", name, colour, kind: "polyester" });
    if (ok) onClose();
  };

  return (
    <FormPanel
      title={thread ? "Change the thread" : "New thread"}
      action={thread ? "Change the thread" : "Add the thread"}
      onSent={save}
      onClose={onClose}
    >
      <div className="grid grid-cols-[1fr_84px] gap-3">
        <PlainField label="Name or number" value={name} onChange={setName} />
        <ColourField label="Colour" value={colour} onChange={setColour} />
      </div>
    </FormPanel>
  );
}
