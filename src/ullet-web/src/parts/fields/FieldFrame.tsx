import type { ReactNode } from "react";

/** The box of a field; the ring of what has the focus lies on it. */
export const FIELD_BOX =
  "flex items-center rounded-card border border-line bg-white focus-within:border-indigo focus-within:ring-1 focus-within:ring-indigo data-[wrong]:border-madder";

/** What is typed into, inside its box. */
export const FIELD_INPUT = "h-[30px] w-full min-w-0 rounded-card px-2 outline-none disabled:text-muted";

interface Props {
  id: string;
  label: string;
  /** Hides the label from eyes; it still names the field. */
  labelHidden?: boolean;
  unit?: string;
  wrong?: boolean;
  className?: string;
  /** Without a frame until it is pointed at or typed into. */
  quiet?: boolean;
  /** The label stands before the box, not above it. */
  beside?: boolean;
  children: ReactNode;
}

/** A label over a box with a field in it, and its unit. */
export function FieldFrame({
  id,
  label,
  labelHidden,
  unit,
  wrong,
  className = "",
  quiet,
  beside,
  children,
}: Props) {
  return (
    <div className={`min-w-0 ${beside ? "grid grid-cols-[1fr_110px] items-center gap-2" : ""} ${className}`}>
      <label htmlFor={id} className={labelHidden ? "sr-only" : "block text-[13px] text-muted"}>
        {label}
      </label>
      <div
        className={`${FIELD_BOX} ${quiet ? "not-focus-within:border-transparent hover:border-line" : ""}`}
        data-wrong={wrong || undefined}
      >
        {children}
        {unit ? <span className="pr-2 text-[13px] whitespace-nowrap text-muted">{unit}</span> : null}
      </div>
    </div>
  );
}
