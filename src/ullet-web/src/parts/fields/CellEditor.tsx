import { useEffect, useId, useRef, useState } from "react";
import { dropDraft, noteDraft } from "../../state/typing";

interface Props {
  label: string;
  /** What was typed to begin it; null to go on with what stands there. */
  begun: string | null;
  value: string;
  options: string[];
  /** Told at every letter. */
  onText?: (text: string) => void;
  /** Takes what was typed; with how far to go on, rows and columns. */
  onTaken: (text: string, then: [number, number] | null) => void;
  /** Lets go of it. */
  onLeft: () => void;
}

/** Typing into a cell: Enter takes and goes down, Tab to the right, Escape lets go; what is typed is taken whatever comes next. */
export function CellEditor({ label, begun, value, options, onText, onTaken, onLeft }: Props) {
  const [text, setText] = useState(begun ?? value);
  const list = useId();
  const own = useRef({ text, done: false, onTaken });

  useEffect(() => {
    own.current.text = text;
    own.current.onTaken = onTaken;
  });

  useEffect(() => {
    const now = own.current;
    const taken = () => {
      if (now.done) return Promise.resolve(true);
      now.done = true;
      now.onTaken(now.text, null);
      return Promise.resolve(true);
    };
    const draft = { take: taken, forget: () => (now.done = true) };
    noteDraft(draft);
    return () => {
      dropDraft(draft);
    };
  }, []);

  const take = (then: [number, number] | null) => {
    if (own.current.done) return;
    own.current.done = true;
    onTaken(text, then);
  };
  return (
    <>
      <input
        autoFocus
        aria-label={label}
        list={options.length ? list : undefined}
        value={text}
        autoComplete="off"
        className="h-8 w-full rounded border border-indigo bg-white px-1 outline-none"
        onChange={(event) => {
          setText(event.target.value);
          onText?.(event.target.value);
        }}
        onFocus={(event) => (begun === null ? event.target.select() : undefined)}
        onBlur={() => take(null)}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === "Enter") take([event.shiftKey ? -1 : 1, 0]);
          else if (event.key === "Tab") take([0, event.shiftKey ? -1 : 1]);
          else if (event.key === "Escape") {
            own.current.done = true;
            onLeft();
          } else return;
          event.preventDefault();
        }}
      />
      {options.length ? (
        <datalist id={list}>
          {options.map((option) => (
            <option key={option} value={option} />
          ))}
        </datalist>
      ) : null}
    </>
  );
}
