import { useState } from "react";
import type { Element } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { Tick } from "../../../parts/fields/Tick";

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
            <Tick
              label={
                <>
                  <span className="truncate">{other.name}</span>
                  {other.isHidden ? <span className="ml-auto text-[12px] text-muted">hidden</span> : null}
                </>
              }
              className=""
              checked={ids.includes(other.id)}
              onChanged={(on) => setIds(on ? [...ids, other.id] : ids.filter((id) => id !== other.id))}
            />
          </li>
        ))}
      </ul>
      <div className="mt-1.5 flex gap-2">
        <Button look="main" disabled={ids.length === 0} onClick={() => onChosen(ids)}>
          {action}
        </Button>
        <Button data-lets-go onClick={onCancel}>
          Cancel
        </Button>
      </div>
    </fieldset>
  );
}
