import { Choice } from "../../../parts/fields/Choice";

interface Props {
  /** "cloth" or "thread". */
  what: string;
  others: { id: string; name: string }[];
  onChosen: (id: string) => unknown;
}

/** Takes another cloth or thread wherever this one is used. */
export function ExchangeField({ what, others, onChosen }: Props) {
  if (!others.length) return null;
  return (
    <Choice
      label="Exchange it everywhere for"
      value=""
      options={[
        { value: "", label: `another ${what} …` },
        ...others.map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChosen={(id) => (id ? onChosen(id) : undefined)}
    />
  );
}
