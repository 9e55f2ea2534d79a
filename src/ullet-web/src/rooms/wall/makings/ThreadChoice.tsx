import type { Thread } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { ThreadSwatch } from "../../../parts/Swatch";

interface Props {
  label: string;
  threads: Thread[];
  /** The thread that was chosen; null for the usual one. */
  value: string | null | undefined;
  usual: Thread | undefined;
  /** Whose the usual one is: "the project’s". */
  whose: string;
  onChosen: (id: string | null) => unknown;
}

/** The usual thread of something, or one of its own. */
export function ThreadChoice({ label, threads, value, usual, whose, onChosen }: Props) {
  const thread = threads.find((known) => known.id === value) ?? usual;
  return (
    <Choice
      label={label}
      value={value ?? ""}
      mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
      options={[
        { value: "", label: `${whose} (${usual?.name ?? "none"})` },
        ...threads.map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChosen={(id) => onChosen(id || null)}
    />
  );
}
