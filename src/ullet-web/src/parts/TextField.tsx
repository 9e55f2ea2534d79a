import { useId, useState } from "react";

interface Props {
  label: string;
  value: string;
  /** Hides the label from eyes; it still names the field. */
  labelHidden?: boolean;
  placeholder?: string;
  className?: string;
  onTyped: (text: string) => void;
}

/** A line of text that is taken on Enter or when it is left. */
export function TextField({ label, value, labelHidden, placeholder, className = "", onTyped }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);

  const commit = () => {
    if (draft !== null && draft.trim() !== value) onTyped(draft.trim());
    setDraft(null);
  };

  return (
    <div className="min-w-0">
      <label htmlFor={id} className={labelHidden ? "sr-only" : "block text-[13px] text-muted"}>
        {label}
      </label>
      <input
        id={id}
        value={draft ?? value}
        placeholder={placeholder}
        className={`h-8 w-full rounded-card border border-line bg-white px-2 ${className}`}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === "Enter") event.currentTarget.blur();
          if (event.key === "Escape") setDraft(null);
          event.stopPropagation();
        }}
      />
    </div>
  );
}
