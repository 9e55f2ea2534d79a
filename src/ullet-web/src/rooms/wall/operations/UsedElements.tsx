import { useState } from "react";
import type { GivenOperation, Operation } from "../../../api/client";
import type { ElementProps } from "../card/elementProps";
import { SourceList } from "./SourceList";
import { withSources } from "./sources";

interface Props extends ElementProps {
  operation: Extract<GivenOperation, { sourceIds: string[] }>;
  onChanged: (next: Operation) => void;
}

/** The elements that an operation uses, by name, and the way to choose others. */
export function UsedElements({ scene, element, operation, onChanged }: Props) {
  const [asked, setAsked] = useState(false);
  const names = operation.sourceIds.map((id) => scene.elements.find((each) => each.id === id)?.name ?? id);
  if (asked)
    return (
      <SourceList
        title="Use …"
        action="Take these"
        others={scene.elements.filter((other) => other.id !== element.id)}
        chosen={operation.sourceIds}
        onChosen={(ids) => {
          setAsked(false);
          onChanged(withSources(operation, ids));
        }}
        onCancel={() => setAsked(false)}
      />
    );
  return (
    <p className="flex items-baseline gap-2 text-[14px]">
      <span className="min-w-0 truncate">{names.join(", ")}</span>
      <button
        type="button"
        className="ml-auto shrink-0 rounded-[6px] px-1.5 text-[13px] text-indigo underline-offset-2 hover:underline"
        onClick={() => setAsked(true)}
      >
        Choose others
      </button>
    </p>
  );
}
