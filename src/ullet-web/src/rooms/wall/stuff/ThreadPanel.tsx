import { useState, type FormEvent } from "react";
import { useEdits } from "../../../api/edits";
import type { Thread } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { ColourField } from "../../../parts/fields/ColourField";
import { PlainField } from "../../../parts/fields/PlainField";
import { Panel } from "../../../parts/Panel";

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

  const save = async (event: FormEvent) => {
    event.preventDefault();
    const ok = thread
      ? await edits.edit({ edit: "changeThread", thread: { ...thread, name, colour } })
      : await edits.edit({ edit: "addThread", name, colour, kind: "polyester" });
    if (ok) onClose();
  };

  return (
    <Panel
      title={thread ? "Change the thread" : "New thread"}
      open
      onOpenChange={(open) => (open ? null : onClose())}
    >
      <form className="space-y-3" onSubmit={(event) => void save(event)}>
        <div className="grid grid-cols-[1fr_84px] gap-3">
          <PlainField label="Name or number" value={name} onChange={setName} />
          <ColourField label="Colour" value={colour} onChange={setColour} />
        </div>
        <div className="flex justify-end gap-2 pt-1">
          <Button data-lets-go onClick={onClose}>
            Cancel
          </Button>
          <Button look="main" type="submit">
            {thread ? "Change the thread" : "Add the thread"}
          </Button>
        </div>
      </form>
    </Panel>
  );
}
