import { useEdits } from "../../../api/edits";
import type { Edit } from "../../../api/client";
import { LengthField } from "../../../parts/fields/LengthField";
import { NumberField } from "../../../parts/fields/NumberField";
import { sizeText } from "../../../state/lengths";
import type { ElementProps } from "./elementProps";
import { useProportions } from "./proportions";
import { SizeFields } from "./SizeFields";
import { Tick } from "../../../parts/fields/Tick";

type Place = Partial<Omit<Extract<Edit, { edit: "placeElement" }>, "edit" | "elementId">>;

/** Numbers for everything that can be dragged. */
export function SizeAndPlace({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const { locked } = useProportions();
  const { box } = element;
  const place = (part: Place) =>
    edits.edit({ edit: "placeElement", elementId: element.id, keepProportions: locked, ...part });
  return (
    <>
      <SizeFields size={box} unit={scene.unit} onTyped={place} />
      <div className="grid grid-cols-3 gap-1.5">
        <LengthField label="Across" value={box.x} unit={scene.unit} onTyped={(x) => place({ x })} />
        <LengthField label="Down" value={box.y} unit={scene.unit} onTyped={(y) => place({ y })} />
        <NumberField label="Turn" value={box.rotation} unit="°" onTyped={(rotation) => place({ rotation })} />
      </div>
      <Tick
        label="Stays centred in the hoop"
        checked={element.staysCentred}
        onChanged={(on) => edits.edit({ edit: "stayCentred", elementId: element.id, on: on })}
      />
      <dl className="grid grid-cols-[auto_1fr] gap-x-3 text-[13px]">
        <dt className="text-muted">Bare outline</dt>
        <dd className="text-right">{sizeText(element.outline.width, element.outline.height, scene.unit)}</dd>
        {element.stitched ? (
          <>
            <dt className="text-muted">With its stitching</dt>
            <dd className="text-right">
              {sizeText(element.stitched.width, element.stitched.height, scene.unit)}
            </dd>
          </>
        ) : null}
      </dl>
    </>
  );
}
