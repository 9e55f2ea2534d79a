import { useId, type ReactNode } from "react";
import { FIELD_BOX } from "./FieldFrame";
import { useWished } from "./useWished";

interface Props {
  label: string;
  labelHidden?: boolean;
  value: string;
  options: { value: string; label: string }[];
  onChosen: (value: string) => unknown;
  /** Drawn before the list: a swatch of what is chosen. */
  mark?: ReactNode;
  className?: string;
}

/** One of a list. */
export function Choice({ label, labelHidden, value, options, onChosen, mark, className = "" }: Props) {
  const id = useId();
  const [shown, choose] = useWished(value, onChosen);
  return (
    <div className={`min-w-0 ${className}`}>
      <label htmlFor={id} className={labelHidden ? "sr-only" : "block text-[13px] text-muted"}>
        {label}
      </label>
      <div className={`h-8 gap-2 pl-2 ${FIELD_BOX}`}>
        {mark}
        <select
          id={id}
          value={shown}
          className="h-full w-full min-w-0 rounded-card bg-transparent pr-1 outline-none"
          onChange={(event) => choose(event.target.value)}
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
