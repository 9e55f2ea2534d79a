import { useId } from "react";
import { Refused } from "../../api/client";
import { DraftInput } from "./DraftInput";
import { FieldFrame } from "./FieldFrame";
import { useDraft } from "./useDraft";

interface Props {
  label: string;
  value: number;
  unit?: string;
  digits?: number;
  onTyped: (value: number) => unknown;
}

/** A plain number with its unit; ranges are the server's to judge. */
export function NumberField({ label, value, unit, digits = 1, onTyped }: Props) {
  const id = useId();
  const field = useDraft({
    shown: value.toFixed(digits),
    read: (text) => read(text, label),
    onTaken: onTyped,
  });
  return (
    <FieldFrame id={id} label={label} unit={unit} wrong={field.wrong}>
      <DraftInput id={id} field={field} selects />
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
