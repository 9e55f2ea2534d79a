import { AreaBox } from "./AreaBox";
import { useDraft } from "./useDraft";

interface Props {
  label: string;
  value: string;
  rows?: number;
  /** Called when the words are left or Ctrl+Enter is pressed. */
  onTyped: (text: string) => unknown;
}

/** Words of one or several lines. */
export function WordsArea({ label, value, rows = 2, onTyped }: Props) {
  const field = useDraft({ shown: value, read: (text) => text, onTaken: onTyped });
  return (
    <AreaBox
      label={label}
      rows={Math.max(rows, field.text.split("\n").length)}
      value={field.text}
      onChange={(event) => field.type(event.target.value)}
      onBlur={() => field.take()}
      onKeyDown={(event) => {
        if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) field.take();
        field.onKeyDown(event);
      }}
    />
  );
}
