import { useId, useState } from "react";

interface Props {
  label: string;
  value: string;
  rows?: number;
  /** Called when the words are left or Ctrl+Enter is pressed; false keeps what was typed in the field. */
  onTyped: (text: string) => Promise<boolean>;
}

/** Words of one or several lines. */
export function WordsArea({ label, value, rows = 2, onTyped }: Props) {
  const id = useId();
  const [draft, setDraft] = useState<string | null>(null);

  const commit = async () => {
    if (draft === null) return;
    if (draft === value || (await onTyped(draft))) setDraft(null);
  };

  return (
    <div>
      <label htmlFor={id} className="block text-[13px] text-muted">
        {label}
      </label>
      <textarea
        id={id}
        dir="auto"
        rows={Math.max(rows, (draft ?? value).split("\n").length)}
        value={draft ?? value}
        className="w-full resize-none rounded-card border border-line px-2 py-1 text-[16px] focus:border-indigo"
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => void commit()}
        onKeyDown={(event) => {
          if (event.key === "Enter" && (event.ctrlKey || event.metaKey)) void commit();
          if (event.key === "Escape") setDraft(null);
          event.stopPropagation();
        }}
      />
    </div>
  );
}
