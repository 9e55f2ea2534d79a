interface Props {
  children: number;
  /** Filled where it leads through steps in order. */
  filled?: boolean;
}

/** A number in a round field, which a picture or a list is spoken of by. */
export function Pill({ children, filled = false }: Props) {
  return (
    <span
      className={`inline-flex size-6 shrink-0 items-center justify-center rounded-full text-[13px] ${
        filled ? "bg-verdigris text-white" : "border border-ink"
      }`}
    >
      {children}
    </span>
  );
}
