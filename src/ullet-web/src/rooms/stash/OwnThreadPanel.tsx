import { useState } from "react";
import type { StashThread } from "../../api/client";
import { Choice } from "../../parts/fields/Choice";
import { ColourField } from "../../parts/fields/ColourField";
import { NumberField } from "../../parts/fields/NumberField";
import { PlainField } from "../../parts/fields/PlainField";
import { FormPanel } from "../../parts/FormPanel";
import { THREAD_KINDS } from "../../parts/threadKinds";
import { useStash } from "./useStash";

interface Props {
  /** The thread to change; a new one when absent. */
  thread?: StashThread;
  onClose: () => void;
}

/** A thread of the stash: number, name, maker, kind, colour, what is left. */
export function OwnThreadPanel({ thread, onClose }: Props) {
  const { keepThread } = useStash();
  const [draft, setDraft] = useState<StashThread>(
    thread ?? { id: "", name: "", colour: "#3f5f7a", kind: "polyester" },
  );
  const [wrong, setWrong] = useState<string | null>(null);
  const set = (part: Partial<StashThread>) => setDraft((now) => ({ ...now, ...part }));
  const keep = async () => {
    const why = await keepThread({ ...draft, name: draft.name.trim() || (draft.number ?? "").trim() });
    if (why) setWrong(why);
    else onClose();
  };
  return (
    <FormPanel
      title={thread ? "Change the thread" : "New thread of the stash"}
      action={thread ? "Change the thread" : "Add the thread"}
      onSent={keep}
      onClose={onClose}
    >
      <div className="grid grid-cols-[110px_1fr_84px] gap-3">
        <PlainField label="Number" value={draft.number ?? ""} onChange={(number) => set({ number })} />
        <PlainField label="Name" value={draft.name} onChange={(name) => set({ name })} />
        <ColourField label="Colour" value={draft.colour} onChange={(colour) => set({ colour })} />
      </div>
      <div className="grid grid-cols-[1fr_130px_100px] gap-3">
        <PlainField label="Maker" value={draft.maker ?? ""} onChange={(maker) => set({ maker })} />
        <Choice
          label="Kind"
          value={draft.kind ?? "polyester"}
          options={THREAD_KINDS}
          onChosen={(kind) => set({ kind: kind as StashThread["kind"] })}
        />
        <NumberField
          label="Metres left"
          value={draft.metres ?? null}
          unset="not said"
          digits={0}
          onTyped={(metres) => set({ metres })}
        />
      </div>
      {wrong ? <p className="text-madder">{wrong}</p> : null}
    </FormPanel>
  );
}
