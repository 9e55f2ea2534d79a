import { useEdits } from "../../../../api/edits";
import { isFormed, type Formed } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Choice } from "../../../../parts/fields/Choice";
import type { ElementProps } from "../../card/elementProps";

const DRAWING = "Drawing";

/** Which generator makes the outline; a drawing may be exchanged for one. */
export function FormChoice({ projectId, element }: ElementProps<Formed<"shape"> | Formed<"drawing">>) {
  const edits = useEdits(projectId);
  const shapes = useCatalogue().data?.shapes ?? [];
  const own = isFormed(element, "shape") ? (element.traits.kind?.word ?? "") : DRAWING;
  const known = shapes.map(({ name }) => ({ value: name, label: name }));
  return (
    <Choice
      label="Form"
      value={own}
      options={own === DRAWING ? [{ value: DRAWING, label: DRAWING }, ...known] : known}
      onChosen={(name) => {
        const shape = shapes.find((each) => each.name === name)?.shape;
        return shape ? edits.edit({ edit: "reshapePiece", elementId: element.id, shape }) : undefined;
      }}
    />
  );
}
