import { RadioGroup } from "radix-ui";
import type { ReactNode } from "react";
import { useWished } from "./useWished";

export interface Segment<T extends string> {
  value: T;
  label: string;
  /** Shown instead of the label, which still names it. */
  picture?: ReactNode;
  /** Underlined and bold: something of its own is set there. */
  marked?: boolean;
}

interface Props<T extends string> {
  label: string;
  /** Null while none is chosen. */
  value: T | null;
  options: readonly Segment<T>[];
  className?: string;
  /** How one of them looks beside what all have. */
  itemClassName?: string;
  onChosen: (value: T) => unknown;
}

/** One of a few, all to be seen; arrow keys go from one to the next. */
export function Segments<T extends string>({
  label,
  value,
  options,
  className = "grid grid-cols-3 gap-1",
  itemClassName = "px-1 py-1 text-[13px]",
  onChosen,
}: Props<T>) {
  const [shown, choose] = useWished<T | null>(value, (next) => (next === null ? undefined : onChosen(next)));
  return (
    <RadioGroup.Root
      aria-label={label}
      value={shown ?? ""}
      onValueChange={(next) => choose(next as T)}
      className={className}
      onKeyDown={(event) => {
        // Arrows choose; shortcuts go on to the room.
        if (!event.ctrlKey && !event.metaKey) event.stopPropagation();
      }}
    >
      {options.map((option) => (
        <RadioGroup.Item
          key={option.value}
          value={option.value}
          aria-label={option.picture ? option.label : undefined}
          title={option.picture ? option.label : undefined}
          data-marked={option.marked || undefined}
          className={`rounded-[6px] border border-line bg-white hover:bg-chalk data-[marked]:font-bold data-[marked]:underline data-[state=checked]:border-indigo data-[state=checked]:bg-indigo data-[state=checked]:text-white ${itemClassName}`}
        >
          {option.picture ?? option.label}
        </RadioGroup.Item>
      ))}
    </RadioGroup.Root>
  );
}
