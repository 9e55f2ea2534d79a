import { Layers, LayersPlus, Tag, Trash2 } from "lucide-react";
import { useState } from "react";
import type { ShelfItem, ShelfLabels } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { FormPanel } from "../../parts/FormPanel";
import type { Chosen } from "./useChosen";
import { useShelfChange } from "./useShelfChange";

interface Props {
  chosen: Chosen;
  labels: ShelfLabels;
  onTags: (items: ShelfItem[]) => void;
}

/** What can be done with several projects at once; there while any is chosen. */
export function ChosenBar({ chosen, labels, onTags }: Props) {
  const { change, binAll } = useShelfChange();
  const [naming, setNaming] = useState(false);
  const { items } = chosen;
  const [first] = items;
  if (!first) return null;
  const ids = items.map(({ id }) => id);
  return (
    <div
      role="group"
      aria-label="What is chosen"
      className="flex flex-wrap items-center gap-2 rounded-card border border-indigo bg-indigo-pale px-3 py-2"
    >
      <span className="mr-2 font-semibold" role="status">
        {items.length === 1 ? first.title : `${items.length} projects`} chosen
      </span>
      <Button onClick={() => onTags(items)}>
        <Tag size={16} aria-hidden />
        Tags
      </Button>
      <Choice
        label="Put into a set"
        labelHidden
        className="w-[190px]"
        value=""
        mark={<Layers size={15} aria-hidden className="shrink-0 text-muted" />}
        options={[
          { value: "", label: "put into a set …" },
          { value: "new", label: "a new set" },
          ...labels.sets.map((set) => ({ value: set.id, label: set.name })),
          ...(items.some(({ set }) => set) ? [{ value: "none", label: "out of its set" }] : []),
        ]}
        onChosen={(value) =>
          value === "new"
            ? setNaming(true)
            : value === "none"
              ? change({ ids, leaveSet: true })
              : value
                ? change({ ids, setId: value })
                : undefined
        }
      />
      <Button
        look="trouble"
        onClick={() => void binAll(items).then((ok) => (ok ? chosen.none() : undefined))}
      >
        <Trash2 size={16} aria-hidden />
        Delete
      </Button>
      <span className="ml-auto flex gap-2">
        <Button look="quiet" onClick={chosen.all}>
          Choose all shown
        </Button>
        <Button look="quiet" onClick={chosen.none}>
          Choose none
        </Button>
      </span>
      {naming ? (
        <NewSet
          usual={first.title}
          onNamed={(name) => change({ ids, newSet: name })}
          onClose={() => setNaming(false)}
        />
      ) : null}
    </div>
  );
}

interface NewSetProps {
  usual: string;
  onNamed: (name: string) => Promise<boolean>;
  onClose: () => void;
}

function NewSet({ usual, onNamed, onClose }: NewSetProps) {
  const [name, setName] = useState(usual);
  return (
    <FormPanel
      title="A new set"
      action="Make the set"
      disabled={!name.trim()}
      onSent={() => onNamed(name).then((ok) => (ok ? onClose() : undefined))}
      onClose={onClose}
    >
      <p className="flex items-center gap-2 text-[14px] text-muted">
        <LayersPlus size={18} aria-hidden />
        Projects of a set know each other: one press shows all of them.
      </p>
      <PlainField label="Name" value={name} onChange={setName} />
    </FormPanel>
  );
}
