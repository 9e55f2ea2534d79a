import { useEffect, useRef, useState } from "react";
import { FIELD_INPUT } from "./FieldFrame";

interface Props {
  label: string;
  value: string;
  className?: string;
  /** Called with what was typed, on Enter or when the field is left. */
  onNamed: (name: string) => void;
  /** Called when it is left as it was. */
  onLeft: () => void;
}

/** A name that is typed in the place where it stands: all of it is selected, Enter takes it, Escape leaves it. */
export function DraftName({ label, value, className = "", onNamed, onLeft }: Props) {
  const [text, setText] = useState(value);
  const field = useRef<HTMLInputElement>(null);
  const over = useRef(false);
  useEffect(() => field.current?.select(), []);
  const take = () => {
    if (over.current) return;
    over.current = true;
    onNamed(text.trim());
  };
  return (
    <input
      ref={field}
      aria-label={label}
      value={text}
      autoComplete="off"
      className={`rounded-[6px] border border-indigo bg-white ${FIELD_INPUT} ${className}`}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        event.stopPropagation();
        if (event.key === "Enter") take();
        if (event.key === "Escape") {
          over.current = true;
          onLeft();
        }
      }}
    />
  );
}
