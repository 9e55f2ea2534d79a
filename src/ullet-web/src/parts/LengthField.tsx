import { useId, useState } from "react";
import { answered, api, Refused, type Unit } from "../api/client";
import { say } from "../state/messages";
import { shown } from "../state/lengths";

interface Props {
  label: string;
  /** mm. */
  value: number;
  unit: Unit;
  /** Called with mm once the server has read what was typed. */
  onTyped: (mm: number) => void;
  disabled?: boolean;
}

/** A length that can be typed in mm, decimal inches or fractions; the server reads it. */
export function LengthField({ label, value, unit, onTyped, disabled }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);

  const commit = async () => {
    if (draft === null) return;
    if (draft.trim() === shown(value, unit)) {
      setDraft(null);
      return;
    }
    try {
      const read = await answered(api.POST("/api/lengths", { body: { text: draft, unit } }));
      setWrong(false);
      setDraft(null);
      onTyped(read.mm);
    } catch (refused) {
      setWrong(true);
      if (refused instanceof Refused) say(refused.message, "trouble");
    }
  };

  return (
    <div className="min-w-0">
      <label htmlFor={id} className="block text-[13px] text-muted">
        {label}
      </label>
      <div
        className="flex items-center rounded-card border border-line bg-white focus-within:border-indigo focus-within:ring-1 focus-within:ring-indigo data-[wrong]:border-madder"
        data-wrong={wrong || undefined}
      >
        <input
          id={id}
          value={draft ?? shown(value, unit)}
          disabled={disabled}
          aria-invalid={wrong || undefined}
          inputMode="text"
          className="h-8 w-full min-w-0 rounded-card px-2 outline-none disabled:text-muted"
          onChange={(event) => setDraft(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={() => void commit()}
          onKeyDown={(event) => {
            if (event.key === "Enter") {
              // Takes the number; a form around the field is not sent with it.
              event.preventDefault();
              void commit();
            }
            if (event.key === "Escape") {
              // First the number goes back to what it was, then the keys go back to the wall.
              if (draft === null) event.currentTarget.blur();
              setDraft(null);
              setWrong(false);
            }
            event.stopPropagation();
          }}
        />
        <span className="pr-2 text-[13px] text-muted">{unit === "inch" ? "in" : "mm"}</span>
      </div>
    </div>
  );
}
