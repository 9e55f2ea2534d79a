import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Thread } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { ColourField } from "../../../parts/fields/ColourField";
import { PlainField } from "../../../parts/fields/PlainField";
import { FormPanel } from "../../../parts/FormPanel";
import { ThreadPicker } from "../../../parts/stuff/StashPicker";
import { threadLabel } from "../../../parts/stuff/threadLabel";
import { THREAD_KINDS } from "../../../parts/threadKinds";
import { Button } from "../../../parts/Button";
import { ExchangeField } from "./ExchangeField";

interface Props {
  projectId: string;
  /** The thread to change; a new one when absent. */
  thread?: Thread;
  /** The project's other threads. */
  others?: Thread[];
  onClose: () => void;
}

/** Number, name, maker, colour and kind of a thread; and what takes its place everywhere. */
export function ThreadPanel({ projectId, thread, others = [], onClose }: Props) {
  const edits = useEdits(projectId);
  const [name, setName] = useState(thread?.name ?? "");
  const [colour, setColour] = useState(thread?.colour ?? "#3f5f7a");
  const [number, setNumber] = useState(thread?.number ?? "");
  const [maker, setMaker] = useState(thread?.maker ?? "");
  const [searching, setSearching] = useState(false);
  const [kind, setKind] = useState<Thread["kind"]>(thread?.kind ?? "polyester");

  const save = async () => {
    const said = { number: number.trim() || null, maker: maker.trim() || null };
    const ok = thread
      ? await edits.edit({ edit: "changeThread", thread: { ...thread, name, colour, kind, ...said } })
      : await edits.edit({ edit: "addThread", name, colour, kind, ...said });
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
        <PlainField label="Name" value={name} onChange={setName} />
        <ColourField label="Colour" value={colour} onChange={setColour} />
      </div>
      <div className="grid grid-cols-[90px_1fr_1fr] gap-3">
        <PlainField label="Number" value={number} onChange={setNumber} />
        <PlainField label="Maker" value={maker} onChange={setMaker} />
        <Choice
          label="Kind"
          value={kind ?? "polyester"}
          options={THREAD_KINDS}
          onChosen={(chosen) => setKind(chosen as Thread["kind"])}
        />
      </div>
      {thread ? (
        <ExchangeField
          what="thread"
          others={others.map((other) => ({ id: other.id, name: threadLabel(other) }))}
          onChosen={(toId) =>
            edits
              .edit({ edit: "exchangeThread", fromId: thread.id, toId })
              .then((ok) => (ok ? onClose() : undefined))
          }
        />
      ) : null}
      {thread ? (
        <Button className="self-start" onClick={() => setSearching(true)}>
          Exchange it for the nearest of the stash
        </Button>
      ) : null}
      {thread && searching ? (
        <ThreadPicker
          title={`In place of ${threadLabel(thread)}`}
          near={{ colour: thread.colour, label: threadLabel(thread) }}
          onChosen={({ id }) =>
            edits
              .edit({ edit: "takeThread", stashId: id, insteadOf: thread.id })
              .then((ok) => (ok ? onClose() : undefined))
          }
          onClose={() => setSearching(false)}
        />
      ) : null}
    </FormPanel>
  );
}
