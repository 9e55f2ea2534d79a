import { useId } from "react";
import { DraftInput } from "./DraftInput";
import { FieldFrame } from "./FieldFrame";
import { useDraft } from "./useDraft";

interface Props {
  label: string;
  value: string;
  /** Hides the label from eyes; it still names the field. */
  labelHidden?: boolean;
  placeholder?: string;
  /** How the words look. */
  className?: string;
  /** Without a frame until it is pointed at or typed into: a name in a heading. */
  quiet?: boolean;
  onTyped: (text: string) => unknown;
}

/** A line of text that is taken on Enter or when it is left. */
export function TextField({ label, value, labelHidden, placeholder, className, quiet, onTyped }: Props) {
  const id = useId();
  const field = useDraft({ shown: value, read: (text) => text.trim(), onTaken: onTyped });
  return (
    <FieldFrame id={id} label={label} labelHidden={labelHidden} wrong={field.wrong} quiet={quiet}>
      <DraftInput id={id} field={field} placeholder={placeholder} className={className} />
    </FieldFrame>
  );
}
