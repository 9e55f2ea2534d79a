import { RotateCcw, Trash2 } from "lucide-react";
import { useState } from "react";
import { answered, api, type BinItem } from "../../api/client";
import { useBin } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Panel } from "../../parts/Panel";
import { useMore } from "../../parts/useMore";
import { whenText } from "../../state/when";
import { useShelfChange } from "./useShelfChange";

const AT_ONCE = 24;

/** The bin with what is in it. */
export function BinPanel({ onClose }: { onClose: () => void }) {
  const bin = useBin();
  const { change } = useShelfChange();
  const items = bin.data ?? [];
  const [shown, sentinel] = useMore(items, AT_ONCE);
  return (
    <Panel title="Bin" size="large" onClose={onClose}>
      <div className="mb-3 flex items-center gap-3">
        <p className="mr-auto text-[14px] text-muted">
          What is thrown away lies here for 30 days, then it goes for good. Projects that orders were made
          from stay.
        </p>
        {items.length > 1 ? (
          <Button onClick={() => void change({ ids: items.map(({ id }) => id), binned: false })}>
            <RotateCcw size={16} aria-hidden />
            Put all back
          </Button>
        ) : null}
      </div>
      {bin.isError ? <p className="text-madder">{bin.error.message}</p> : null}
      {bin.data?.length === 0 ? (
        <p className="m-auto text-[17px] text-muted">The bin is empty.</p>
      ) : (
        <div
          className="min-h-0 flex-1 overflow-y-auto pr-1"
          tabIndex={0}
          role="region"
          aria-label="In the bin"
        >
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(205px,1fr))] gap-3">
            {shown.map((item) => (
              <Binned key={item.id} item={item} />
            ))}
          </ul>
          {sentinel}
        </div>
      )}
    </Panel>
  );
}

function Binned({ item }: { item: BinItem }) {
  const { run, change } = useShelfChange();
  const [asking, setAsking] = useState(false);
  return (
    <li className="flex flex-col overflow-hidden rounded-card border border-line bg-white">
      <span className="flex h-[120px] items-center justify-center bg-[#dfe4e9] p-2">
        <img
          loading="lazy"
          src={`/api/projects/${item.id}/revisions/${item.head}/picture.png`}
          alt=""
          className="max-h-full max-w-full rounded opacity-80 shadow"
        />
      </span>
      <div className="flex flex-1 flex-col gap-1 px-2.5 py-2">
        <p className="font-medium">{item.title}</p>
        <p className="text-[13px] text-muted">
          thrown away {whenText(item.deletedAt)}
          {item.goesAt == null ? "; stays, for its orders" : `; goes ${whenText(item.goesAt)}`}
        </p>
        {asking ? (
          <div className="mt-auto space-y-1.5 rounded-card bg-madder-pale p-2 text-[13px]">
            <p>This can’t be undone.</p>
            <div className="flex gap-1.5">
              <Button
                look="trouble"
                onClick={() =>
                  void run(() => answered(api.DELETE("/api/bin/{id}", { params: { path: { id: item.id } } })))
                }
              >
                Delete for good
              </Button>
              <Button onClick={() => setAsking(false)}>Keep</Button>
            </div>
          </div>
        ) : (
          <div className="mt-auto flex gap-1.5">
            <Button
              aria-label={`Put back: ${item.title}`}
              onClick={() => void change({ ids: [item.id], binned: false })}
            >
              <RotateCcw size={15} aria-hidden />
              Put back
            </Button>
            {item.goesAt == null ? null : (
              <Button
                look="quiet"
                aria-label={`Delete ${item.title} for good`}
                onClick={() => setAsking(true)}
              >
                <Trash2 size={15} aria-hidden />
              </Button>
            )}
          </div>
        )}
      </div>
    </li>
  );
}
