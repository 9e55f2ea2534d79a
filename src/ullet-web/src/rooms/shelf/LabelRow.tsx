import { Layers, Tag } from "lucide-react";
import type { ShelfLabels } from "../../api/client";
import { Choice } from "../../parts/fields/Choice";

interface Props {
  labels: ShelfLabels;
  tag: string;
  set: string;
  onTag: (tag: string) => void;
  onSet: (set: string) => void;
}

/** Tags stand as buttons as long as there are so few; more are chosen from a list. */
const FEW_TAGS = 6;

/** Narrows the shelf to a tag or a set. */
export function LabelRow({ labels, tag, set, onTag, onSet }: Props) {
  const { tags, sets } = labels;
  return (
    <>
      {sets.length ? (
        <Choice
          label="Set"
          className="w-[170px]"
          value={set}
          mark={<Layers size={15} aria-hidden className="shrink-0 text-muted" />}
          options={[
            { value: "", label: "any" },
            ...sets.map((each) => ({ value: each.id, label: `${each.name} (${each.count})` })),
          ]}
          onChosen={onSet}
        />
      ) : null}
      {tags.length > FEW_TAGS ? (
        <Choice
          label="Tag"
          className="w-[170px]"
          value={tag}
          mark={<Tag size={15} aria-hidden className="shrink-0 text-muted" />}
          options={[
            { value: "", label: "any" },
            ...tags.map((each) => ({ value: each.tag, label: `${each.tag} (${each.count})` })),
          ]}
          onChosen={onTag}
        />
      ) : (
        <div role="group" aria-label="Tags" className="flex flex-wrap gap-1.5 pb-0.5">
          {tags.map((each) => (
            <button
              key={each.tag}
              type="button"
              aria-pressed={each.tag === tag}
              className="inline-flex items-center gap-1 rounded-full border border-line bg-white px-2.5 py-1 text-[13px] hover:bg-chalk aria-pressed:border-indigo aria-pressed:bg-indigo aria-pressed:text-white"
              onClick={() => onTag(each.tag === tag ? "" : each.tag)}
            >
              <Tag size={13} aria-hidden />
              {each.tag} {each.count}
            </button>
          ))}
        </div>
      )}
    </>
  );
}
