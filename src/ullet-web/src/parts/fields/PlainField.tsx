import { useId } from "react";
import { FIELD_BOX, FIELD_INPUT, FieldFrame } from "./FieldFrame";

interface Props {
  label: string;
  labelHidden?: boolean;
  value: string;
  placeholder?: string;
  unit?: string;
  /** The label stands before the box, not above it. */
  beside?: boolean;
  className?: string;
  onChange: (text: string) => void;
}

/** A line of text in a form: what is typed is the form's at every letter. */
export function PlainField({
  label,
  labelHidden,
  value,
  placeholder,
  unit,
  beside,
  className,
  onChange,
}: Props) {
  const id = useId();
  return (
    <FieldFrame
      id={id}
      label={label}
      labelHidden={labelHidden}
      unit={unit}
      beside={beside}
      className={className}
    >
      <input
        id={id}
        value={value}
        placeholder={placeholder}
        autoComplete="off"
        className={FIELD_INPUT}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== "Escape") event.stopPropagation();
        }}
      />
    </FieldFrame>
  );
}

/** The same for several lines. */
export function PlainArea({ label, value, placeholder, onChange }: Props) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-[13px] text-muted">
        {label}
      </label>
      <div className={FIELD_BOX}>
        <textarea
          id={id}
          dir="auto"
          rows={2}
          value={value}
          placeholder={placeholder}
          className="block w-full resize-none rounded-card px-2 py-1 text-[16px] outline-none"
          onChange={(event) => onChange(event.target.value)}
        />
      </div>
    </div>
  );
}
