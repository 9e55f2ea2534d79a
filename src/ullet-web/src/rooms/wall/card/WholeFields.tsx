import { Lock, LockOpen } from "lucide-react";
import { useEdits } from "../../../api/edits";
import type { Edit, Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { growsEvenly, wholeBox } from "../../../canvas/whole";
import { LengthField } from "../../../parts/fields/LengthField";
import { NumberField } from "../../../parts/fields/NumberField";
import { useProportions } from "./proportions";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

type Place = Partial<Omit<Extract<Edit, { edit: "placeElements" }>, "edit" | "elementIds">>;

/** Size, place and turn of several elements as a whole. */
export function WholeFields({ projectId, scene, chosen }: Props) {
  const edits = useEdits(projectId);
  const { locked, setLocked } = useProportions();
  const whole = wholeBox(chosen);
  const evenly = growsEvenly(chosen);
  const place = (part: Place) =>
    edits.edit({
      edit: "placeElements",
      elementIds: chosen.map((element) => element.id),
      keepProportions: locked || evenly,
      ...part,
    });
  const isLocked = locked || evenly;
  return (
    <>
      <div className="grid grid-cols-[1fr_32px_1fr] items-end gap-1.5">
        <LengthField
          label="Width of all"
          value={whole.width}
          unit={scene.unit}
          onTyped={(width) => place({ width })}
        />
        <button
          type="button"
          aria-pressed={isLocked}
          aria-label="Keep proportions"
          disabled={evenly}
          title={
            evenly
              ? "One of them stands askew: all grow evenly"
              : locked
                ? "Width and height change together"
                : "Width and height change on their own"
          }
          className="flex h-8 items-center justify-center rounded-card text-muted hover:bg-indigo-pale aria-pressed:text-indigo"
          onClick={() => setLocked(!locked)}
        >
          {isLocked ? <Lock size={16} aria-hidden /> : <LockOpen size={16} aria-hidden />}
        </button>
        <LengthField
          label="Height of all"
          value={whole.height}
          unit={scene.unit}
          onTyped={(height) => place({ height })}
        />
      </div>
      <div className="grid grid-cols-3 gap-1.5">
        <LengthField label="Across" value={whole.x} unit={scene.unit} onTyped={(x) => place({ x })} />
        <LengthField label="Down" value={whole.y} unit={scene.unit} onTyped={(y) => place({ y })} />
        <NumberField label="Turn by" value={0} unit="°" onTyped={(turn) => place({ turn })} />
      </div>
    </>
  );
}
