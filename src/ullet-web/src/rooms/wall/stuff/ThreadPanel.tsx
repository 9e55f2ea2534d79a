import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Thread } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { ColourField } from "../../../parts/fields/ColourField";
import { PlainField } from "../../../parts/fields/PlainField";
import { FormPanel } from "../../../parts/FormPanel";
import { ExchangeField } from "./ExchangeField";

interface Props {
  projectId: string;
  /** The thread to change; a new one when absent. */
  thread?: Thread;
  /** The project's other threads. */
  others?: Thread[];
  onClose: () => void;
}

const KINDS = [
  { value: "polyester", label: "polyester" },
  { value: "rayon", label: "rayon" },
  { value: "cotton", label: "cotton" },
  { value: "metallic", label: "metallic" },
];

/** Name, colour and kind of a thread. */
export function ThreadPanel({ projectId, thread, others = [], onClose }: Props) {
  const edits = useEdits(projectId);
  const [name, setName] = useState(thread?.name ?? "");
  const [colour, setColour] = useState(thread?.colour ?? "#3f5f7a");
  const [kind, setKind] = useState<Thread["kind"]>(thread?.kind ?? "polyester");

  const save = async () => {
    const ok = thread
      ? await edits.edit({ edit: "changeThread", thread: { ...thread, name, colour, kind } })
      : await edits.edit({ edit: "addThread", name, colour, kind });
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
      <Choice
        label="Kind"
        value={kind ?? "polyester"}
        options={KINDS}
        onChosen={(chosen) => setKind(chosen as Thread["kind"])}
      />
      {thread ? (
        <ExchangeField
          what="thread"
          others={others}
          onChosen={(toId) =>
            edits
              .edit({ edit: "exchangeThread", fromId: thread.id, toId })
              .then((ok) => (ok ? onClose() : undefined))
          }
        />
      ) : null}
    </FormPanel>
  );
}
