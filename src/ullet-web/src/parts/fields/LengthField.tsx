import { useId } from "react";
import { answered, api, type Unit } from "../../api/client";
import { shown } from "../../state/lengths";
import { DraftInput } from "./DraftInput";
import { FieldFrame } from "./FieldFrame";
import { useDraft } from "./useDraft";

interface Props {
  label: string;
  /** mm; null where several elements differ. */
  value: number | null;
  unit: Unit;
  /** Called with mm once the server has read what was typed. */
  onTyped: (mm: number) => unknown;
  disabled?: boolean;
  /** Figures behind the point in mm; one for places and sizes. */
  digits?: number;
  /** Stands where there is no one value. */
  unset?: string;
}

/** A length that can be typed in mm, decimal inches or fractions; the server reads it. */
export function LengthField({ label, value, unit, onTyped, disabled, digits = 1, unset = "mixed" }: Props) {
  const id = useId();
  const field = useDraft({
    shown: value === null ? "" : unit === "inch" ? shown(value, unit) : value.toFixed(digits),
    read: async (text) => (await answered(api.POST("/api/lengths", { body: { text, unit } }))).mm,
    onTaken: onTyped,
  });
  return (
    <FieldFrame id={id} label={label} unit={unit === "inch" ? "in" : "mm"} wrong={field.wrong}>
      <DraftInput
        id={id}
        field={field}
        disabled={disabled}
        placeholder={value === null ? unset : undefined}
        selects
      />
    </FieldFrame>
  );
}
