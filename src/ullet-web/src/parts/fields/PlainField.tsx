import { useId } from "react";
import { FIELD_INPUT, FieldFrame } from "./FieldFrame";

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
