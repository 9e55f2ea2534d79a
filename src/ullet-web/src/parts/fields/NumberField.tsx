import { useId } from "react";
import { Refused } from "../../api/client";
import { DraftInput } from "./DraftInput";
import { useStitchUnit } from "../../state/units";
import { FieldFrame } from "./FieldFrame";
import { LengthField } from "./LengthField";
import { useDraft } from "./useDraft";

interface Props {
  label: string;
  /** Null where nothing is said. */
  value: number | null;
  unit?: string;
  digits?: number;
  /** Stands where nothing is said. */
  unset?: string;
  onTyped: (value: number) => unknown;
}

/** A number with its unit; ranges are the server's to judge. What is measured in mm is shown in inches where stitches are. */
export function NumberField(props: Props) {
  const stitchUnit = useStitchUnit();
  const { label, value, digits, onTyped } = props;
  return props.unit === "mm" && stitchUnit === "inch" ? (
    <LengthField label={label} value={value} unit={stitchUnit} digits={digits} onTyped={onTyped} />
  ) : (
    <PlainNumber {...props} />
  );
}

function PlainNumber({ label, value, unit, digits = 1, unset, onTyped }: Props) {
  const id = useId();
  const field = useDraft({
    shown: value === null ? "" : value.toFixed(digits),
    read: (text) => read(text, label),
    onTaken: onTyped,
  });
  return (
    <FieldFrame id={id} label={label} unit={unit} wrong={field.wrong}>
      <DraftInput id={id} field={field} placeholder={unset} selects />
    </FieldFrame>
  );
}

function read(text: string, label: string): number {
  const plain = text
    .trim()
    .replace(",", ".")
    .replace(/\s*[°%]$/, "");
  const value = Number(plain);
  if (plain === "" || !Number.isFinite(value))
    throw new Refused(
      `"${text.slice(0, 24)}" is not a number for ${label.toLowerCase()}.`,
      "number-unreadable",
    );
  return value;
}
