import type { useDraft } from "./useDraft";
import { FIELD_INPUT } from "./FieldFrame";

interface Props {
  id: string;
  field: ReturnType<typeof useDraft>;
  disabled?: boolean;
  placeholder?: string;
  /** Selects all when it gets the focus, as numbers want. */
  selects?: boolean;
  className?: string;
}

/** The line of a field that takes what is typed on Enter or when it is left. */
export function DraftInput({ id, field, disabled, placeholder, selects, className = "" }: Props) {
  return (
    <input
      id={id}
      value={field.text}
      disabled={disabled}
      placeholder={placeholder}
      aria-invalid={field.wrong || undefined}
      autoComplete="off"
      className={`${FIELD_INPUT} ${className}`}
      onChange={(event) => field.type(event.target.value)}
      onFocus={(event) => (selects ? event.target.select() : undefined)}
      onBlur={() => field.take()}
      onKeyDown={(event) => {
        if (event.key === "Enter") {
          // Takes what was typed; a form around the field is not sent with it.
          event.preventDefault();
          field.take();
        }
        field.onKeyDown(event);
      }}
    />
  );
}
