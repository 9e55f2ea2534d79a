import { X } from "lucide-react";
import { useState } from "react";
import type { ShelfItem, ShelfLabels } from "../../api/client";
import { Button } from "../../parts/Button";
import { PlainField } from "../../parts/fields/PlainField";
import { FormPanel } from "../../parts/FormPanel";
import { useShelfChange } from "./useShelfChange";

interface Props {
  items: ShelfItem[];
  known: ShelfLabels["tags"];
  onClose: () => void;
}

/** Gives tags to one project or to several, and takes tags from them. */
export function TagsPanel({ items, known, onClose }: Props) {
  const { change } = useShelfChange();
  const own = [...new Set(items.flatMap(({ tags }) => tags))];
  const [gone, setGone] = useState<string[]>([]);
  const [typed, setTyped] = useState("");
  const added = typed
    .split(",")
    .map((tag) => tag.trim())
    .filter(Boolean);
  const [first] = items;
  const offered = known.filter(({ tag }) => !own.includes(tag) && !added.includes(tag));
  const keep = async () => {
    const done = await change({ ids: items.map(({ id }) => id), addTags: added, removeTags: gone });
    if (done) onClose();
  };
  return (
    <FormPanel
      title={items.length === 1 && first ? `Tags of ${first.title}` : `Tags of ${items.length} projects`}
      action="Keep the tags"
      disabled={added.length === 0 && gone.length === 0}
      onSent={keep}
      onClose={onClose}
    >
      {own.length ? (
        <ul aria-label="Their tags" className="flex flex-wrap gap-1.5">
          {own.map((tag) => {
            const off = gone.includes(tag);
            return (
              <li key={tag}>
                <button
                  type="button"
                  aria-label={off ? `Keep the tag ${tag}` : `Take the tag ${tag} away`}
                  data-off={off}
                  className="inline-flex items-center gap-1 rounded-full border border-indigo bg-indigo-pale px-2.5 py-1 text-[14px] data-[off=true]:border-line data-[off=true]:bg-white data-[off=true]:text-muted data-[off=true]:line-through"
                  onClick={() => setGone((now) => (off ? now.filter((each) => each !== tag) : [...now, tag]))}
                >
                  {tag}
                  <X size={13} aria-hidden />
                </button>
              </li>
            );
          })}
        </ul>
      ) : (
        <p className="text-[14px] text-muted">No tags yet.</p>
      )}
      <PlainField
        label="New tags, with commas between"
        value={typed}
        placeholder="stall, autumn"
        onChange={setTyped}
      />
      {offered.length ? (
        <div className="flex flex-wrap items-center gap-1.5">
          <span className="text-[13px] text-muted">Tags that others have:</span>
          {offered.slice(0, 12).map(({ tag }) => (
            <Button key={tag} onClick={() => setTyped([...added, tag].join(", "))}>
              {tag}
            </Button>
          ))}
        </div>
      ) : null}
    </FormPanel>
  );
}
