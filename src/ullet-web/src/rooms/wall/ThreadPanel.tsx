import { useState, type FormEvent } from "react";
import { useEdits } from "../../api/edits";
import type { Thread } from "../../api/client";
import { Button } from "../../parts/Button";
import { Panel } from "../../parts/Panel";

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
          <div>
            <label htmlFor="thread-name" className="block text-[13px] text-muted">
              Name or number
            </label>
            <input
              id="thread-name"
              value={name}
              className="h-8 w-full rounded-card border border-line px-2"
              onChange={(event) => setName(event.target.value)}
            />
          </div>
          <div>
            <label htmlFor="thread-colour" className="block text-[13px] text-muted">
              Colour
            </label>
            <input
              id="thread-colour"
              type="color"
              value={colour}
              className="h-8 w-full rounded-card border border-line bg-white p-0.5"
              onChange={(event) => setColour(event.target.value)}
            />
          </div>
        </div>
        <div className="flex justify-end gap-2 pt-1">
          <Button onClick={onClose}>Cancel</Button>
          <Button look="main" type="submit">
            {thread ? "Change the thread" : "Add the thread"}
          </Button>
        </div>
      </form>
    </Panel>
  );
}
