import { useId, type Ref, type TextareaHTMLAttributes } from "react";
import { FieldFrame } from "./FieldFrame";

interface Props extends TextareaHTMLAttributes<HTMLTextAreaElement> {
  label: string;
  ref?: Ref<HTMLTextAreaElement>;
}

/** A labelled box for several lines. */
export function AreaBox({ label, ref, ...area }: Props) {
  const id = useId();
  return (
    <FieldFrame id={id} label={label}>
      <textarea
        id={id}
        ref={ref}
        dir="auto"
        {...area}
        className="block w-full resize-none rounded-card px-2 py-1 text-[16px] outline-none"
      />
    </FieldFrame>
  );
}
