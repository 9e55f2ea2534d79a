import { useState } from "react";
import { useCatalogue } from "../api/queries";
import { Panel } from "../parts/Panel";
import { useWhenAsked } from "../verbs/asks";

/** All keys in one list; "?" opens it. */
export function KeysPanel() {
  const [open, setOpen] = useState(false);
  const keys = useCatalogue().data?.keys ?? [];
  useWhenAsked("keys", () => setOpen(true));

  if (!open) return null;
  return (
    <Panel title="Keys" onClose={() => setOpen(false)}>
      <div className="min-h-0 overflow-y-auto pr-1" tabIndex={0} role="region" aria-label="All keys">
        <dl className="grid grid-cols-[minmax(0,150px)_1fr] gap-x-4 gap-y-1.5">
          {keys.map((row) => (
            <div key={row.keys} className="contents">
              <dt className="font-semibold">{row.keys}</dt>
              <dd className="text-muted">{row.what}</dd>
            </div>
          ))}
        </dl>
      </div>
    </Panel>
  );
}
