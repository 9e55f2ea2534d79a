import { useEffect, useRef, type KeyboardEvent } from "react";
import { AreaBox } from "./AreaBox";
import { useDraft } from "./useDraft";

interface Props {
  label: string;
  value: string;
  rows?: number;
  /** Called when the words are left or Ctrl+Enter is pressed. */
  onTyped: (text: string) => unknown;
  /** True to be typed over at once: it takes the keys and selects its words. */
  begins?: boolean;
  onBegun?: () => void;
  /** Keys that mean more than typing, asked first; true for one that is done with. */
  onKey?: (event: KeyboardEvent<HTMLTextAreaElement>) => boolean;
}

/** Words of one or several lines. */
export function WordsArea({ label, value, rows = 2, onTyped, begins, onBegun, onKey }: Props) {
  const field = useDraft({ shown: value, read: (text) => text, onTaken: onTyped });
  const box = useRef<HTMLTextAreaElement>(null);
  useEffect(() => {
    if (!begins) return;
    box.current?.focus();
    box.current?.select();
    onBegun?.();
  }, [begins, onBegun]);
  return (
    <AreaBox
      label={label}
      ref={box}
      rows={Math.max(rows, field.text.split("\n").length)}
      value={field.text}
      onChange={(event) => field.type(event.target.value)}
      onBlur={() => field.take()}
      onKeyDown={(event) => {
        const control = event.ctrlKey || event.metaKey;
        if (event.key === "Enter" && (control || event.altKey)) field.take();
        if (onKey?.(event)) event.preventDefault();
        field.onKeyDown(event);
      }}
    />
  );
}
