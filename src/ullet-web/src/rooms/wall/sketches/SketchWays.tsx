import { useEdits } from "../../../api/edits";
import type { Element } from "../../../api/elements";
import { Segments } from "../../../parts/fields/Segments";
import { WAYS } from "./ways";

interface Props {
  projectId: string;
  chosen: Element[];
}

/** A whole small drawing made another way with one press; nothing where none is selected. */
export function SketchWays({ projectId, chosen }: Props) {
  const edits = useEdits(projectId);
  const parts = chosen.filter((element) => element.isSketchPart);
  if (parts.length === 0) return null;
  const ways = new Set(parts.flatMap((element) => element.sketchWay ?? []));
  const [way] = ways;
  return (
    <div>
      <Segments
        label="The drawing is set"
        value={ways.size === 1 && way ? way : null}
        options={WAYS}
        onChosen={(next) =>
          edits.edit({ edit: "makeSketch", elementIds: parts.map((element) => element.id), way: next })
        }
      />
      <p className="mt-1 text-[13px] text-muted">
        Bodies change, details stay thread. What was set for a way comes back with it.
      </p>
    </div>
  );
}
