import { useParams } from "react-router";
import type { Thread } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { threadLabel } from "../../../parts/stuff/threadLabel";
import { ThreadSwatch } from "../../../parts/Swatch";
import { FROM_STASH, useThreadTake } from "../stuff/useStashTake";

interface Props {
  label: string;
  labelHidden?: boolean;
  threads: Thread[];
  /** The thread that was chosen; null for the usual one. */
  value: string | null | undefined;
  usual: Thread | undefined;
  /** Whose the usual one is: "the project’s". */
  whose: string;
  onChosen: (id: string | null) => unknown;
}

/** The usual thread of something, one of its own, or one that is searched for. */
export function ThreadChoice({ label, labelHidden, threads, value, usual, whose, onChosen }: Props) {
  const { id: projectId = "" } = useParams();
  const thread = threads.find((known) => known.id === value) ?? usual;
  const { open, panel } = useThreadTake(projectId, onChosen);
  return (
    <>
      <Choice
        label={label}
        labelHidden={labelHidden}
        value={value ?? ""}
        mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
        options={[
          { value: "", label: `${whose} (${usual ? threadLabel(usual) : "none"})` },
          ...threads.map((known) => ({ value: known.id, label: threadLabel(known) })),
          FROM_STASH,
        ]}
        onChosen={(id) => (id === FROM_STASH.value ? open() : onChosen(id || null))}
      />
      {panel}
    </>
  );
}
