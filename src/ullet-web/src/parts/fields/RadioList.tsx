import { RadioGroup } from "radix-ui";
import { useWished } from "./useWished";

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly { value: T; label: string; about?: string }[];
  onChosen: (value: T) => unknown;
}

/** One of a few, each with what it means; arrow keys go from one to the next. */
export function RadioList<T extends string>({ label, value, options, onChosen }: Props<T>) {
  const [shown, choose] = useWished(value, onChosen);
  return (
    <RadioGroup.Root
      aria-label={label}
      value={shown}
      onValueChange={(next) => choose(next as T)}
      className="space-y-1"
    >
      {options.map((option) => (
        <label key={option.value} className="flex items-start gap-2">
          <RadioGroup.Item
            value={option.value}
            className="mt-[3px] flex size-4 shrink-0 items-center justify-center rounded-full border border-field bg-white data-[state=checked]:border-indigo"
          >
            <RadioGroup.Indicator className="size-2 rounded-full bg-indigo" />
          </RadioGroup.Item>
          <span>
            {option.label}
            {option.about ? <span className="block text-[13px] text-muted">{option.about}</span> : null}
          </span>
        </label>
      ))}
    </RadioGroup.Root>
  );
}
