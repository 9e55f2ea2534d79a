import { useId } from "react";
import { FIELD_BOX } from "./FieldFrame";
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
  const id = useId();
  const field = useDraft({ shown: value, read: (text) => text, onTaken: onTyped });
  return (
    <div>
      <label htmlFor={id} className="block text-[13px] text-muted">
        {label}
      </label>
      <div className={FIELD_BOX}>
        <textarea
          id={id}
          dir="auto"
          rows={Math.max(rows, field.text.split("\n").length)}
          value={field.text}
          className="w-full resize-none rounded-card px-2 py-1 text-[16px] outline-none"
          onChange={(event) => field.type(event.target.value)}
          onBlur={() => field.take()}
          onKeyDown={(event) => {
            if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) field.take();
            field.onKeyDown(event);
          }}
        />
      </div>
    </div>
  );
}
