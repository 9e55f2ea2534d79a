import { useState } from "react";
import type { Element } from "../../../api/client";
import { Button } from "../../../parts/Button";

interface Props {
  title: string;
  /** On the button that takes the choice. */
  action: string;
  others: Element[];
  /** Ids that are chosen to begin with. */
  chosen?: string[];
  onChosen: (ids: string[]) => void;
  onCancel: () => void;
}

/** Asks which elements an operation uses. */
export function SourceList({ title, action, others, chosen = [], onChosen, onCancel }: Props) {
  const [ids, setIds] = useState(chosen);
  return (
    <fieldset
      className="rounded-card border border-indigo p-2"
      onKeyDown={(event) => {
        if (event.key !== "Escape") return;
        event.stopPropagation();
        onCancel();
      }}
    >
      <legend className="px-1 text-[14px] font-medium">{title}</legend>
      {others.length === 0 ? (
        <p className="text-[14px] text-muted">
          There is no other element yet. Lay another one on the wall first.
        </p>
      ) : null}
      <ul className="max-h-[180px] overflow-y-auto">
        {[...others].reverse().map((other) => (
          <li key={other.id}>
            <label className="flex items-center gap-2 rounded-[6px] px-1 py-1 hover:bg-chalk">
              <input
                type="checkbox"
                className="size-4 accent-indigo"
                checked={ids.includes(other.id)}
                onChange={(event) =>
                  setIds(event.target.checked ? [...ids, other.id] : ids.filter((id) => id !== other.id))
                }
              />
              <span className="truncate">{other.name}</span>
              {other.isHidden ? <span className="ml-auto text-[12px] text-muted">hidden</span> : null}
            </label>
          </li>
        ))}
      </ul>
      <div className="mt-1.5 flex gap-2">
        <Button look="main" disabled={ids.length === 0} onClick={() => onChosen(ids)}>
          {action}
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </div>
    </fieldset>
  );
}
