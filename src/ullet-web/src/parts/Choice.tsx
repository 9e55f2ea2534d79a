import { useId, type ReactNode } from "react";

interface Props {
  label: string;
  labelHidden?: boolean;
  value: string;
  options: { value: string; label: string }[];
  onChosen: (value: string) => void;
  /** Drawn before the list: a swatch of what is chosen. */
  mark?: ReactNode;
  className?: string;
}

/** One of a list. */
export function Choice({ label, labelHidden, value, options, onChosen, mark, className = "" }: Props) {
  const id = useId();
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={labelHidden ? "sr-only" : "block text-[13px] text-muted"}>
        {label}
      </label>
      <div className="flex h-8 items-center gap-2 rounded-card border border-line bg-white pl-2 focus-within:border-indigo">
        {mark}
        <select
          id={id}
          value={value}
          className="h-full w-full min-w-0 rounded-card bg-transparent pr-1"
          onChange={(event) => onChosen(event.target.value)}
          onKeyDown={(event) => {
            // Arrows and letters choose; shortcuts go on to the room.
            if (!event.ctrlKey && !event.metaKey) event.stopPropagation();
          }}
        >
          {options.map((option) => (
            <option key={option.value} value={option.value}>
              {option.label}
            </option>
          ))}
        </select>
      </div>
    </div>
  );
}
