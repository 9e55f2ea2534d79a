import { useId } from "react";
import { FieldFrame } from "./FieldFrame";

interface Props {
  label: string;
  /** #rrggbb. */
  value: string;
  onChange: (colour: string) => void;
}

/** A colour. */
export function ColourField({ label, value, onChange }: Props) {
  const id = useId();
  return (
    <FieldFrame id={id} label={label}>
      <input
        id={id}
        type="color"
        value={value}
        className="h-[30px] w-full rounded-card bg-white p-0.5 outline-none"
        onChange={(event) => onChange(event.target.value)}
      />
    </FieldFrame>
  );
}
