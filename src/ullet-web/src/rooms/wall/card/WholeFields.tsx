import { useEdits } from "../../../api/edits";
import type { Edit, Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { wholeBox } from "../../../canvas/whole";
import { LengthField } from "../../../parts/fields/LengthField";
import { NumberField } from "../../../parts/fields/NumberField";
import { useProportions } from "./proportions";
import { SizeFields } from "./SizeFields";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

type Place = Partial<Omit<Extract<Edit, { edit: "placeElements" }>, "edit" | "elementIds">>;

/** Size, place and turn of several elements as a whole. */
export function WholeFields({ projectId, scene, chosen }: Props) {
  const edits = useEdits(projectId);
  const { locked } = useProportions();
  const whole = wholeBox(chosen);
  const evenly = chosen.some((element) => element.isAskew);
  const place = (part: Place) =>
    edits.edit({
      edit: "placeElements",
      elementIds: chosen.map((element) => element.id),
      keepProportions: locked || evenly,
      ...part,
    });
  return (
    <>
      <SizeFields
        of=" of all"
        size={whole}
        unit={scene.unit}
        keptBecause={evenly ? "One of them stands askew: all grow evenly" : null}
        onTyped={place}
      />
      <div className="grid grid-cols-3 gap-1.5">
        <LengthField label="Across" value={whole.x} unit={scene.unit} onTyped={(x) => place({ x })} />
        <LengthField label="Down" value={whole.y} unit={scene.unit} onTyped={(y) => place({ y })} />
        <NumberField label="Turn by" value={0} unit="°" onTyped={(turn) => place({ turn })} />
      </div>
    </>
  );
}
