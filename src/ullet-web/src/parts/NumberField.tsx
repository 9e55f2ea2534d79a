import { useId, useState } from "react";
import { say } from "../state/messages";

interface Props {
  label: string;
  value: number;
  unit?: string;
  digits?: number;
  onTyped: (value: number) => void;
}

/** A plain number with its unit; ranges are the server's to judge. */
export function NumberField({ label, value, unit, digits = 1, onTyped }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const text = value.toFixed(digits);

  const commit = () => {
    if (draft === null) return;
    setDraft(null);
    if (draft.trim() === text) return;
    const read = Number(draft.trim().replace(",", ".").replace(/[°%]$/, ""));
    if (draft.trim() === "" || !Number.isFinite(read)) {
      say(`"${draft.slice(0, 24)}" is not a number for ${label.toLowerCase()}.`, "trouble");
      return;
    }
    onTyped(read);
  };

  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-[13px] text-muted">
        {label}
      </label>
      <div className="flex items-center rounded-card border border-line bg-white focus-within:border-indigo focus-within:ring-1 focus-within:ring-indigo">
        <input
          id={id}
          value={draft ?? text}
          className="h-8 w-full min-w-0 rounded-card px-2 outline-none"
          onChange={(event) => setDraft(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === "Enter") {
              event.preventDefault();
              commit();
            }
            if (event.key === "Escape") {
              if (draft === null) event.currentTarget.blur();
              setDraft(null);
            }
            event.stopPropagation();
          }}
        />
        {unit ? <span className="pr-2 text-[13px] text-muted">{unit}</span> : null}
      </div>
    </div>
  );
}
