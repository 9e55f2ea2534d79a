import { useEdits } from "../../../../api/edits";
import { isFormed, type Formed } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Choice } from "../../../../parts/fields/Choice";
import type { ElementProps } from "../../card/elementProps";

/** Which generator makes the outline; a drawing may be exchanged for one. */
export function FormChoice({ projectId, element }: ElementProps<Formed<"shape"> | Formed<"drawing">>) {
  const edits = useEdits(projectId);
  const shapes = useCatalogue().data?.shapes ?? [];
  const own = isFormed(element, "shape") ? element.form.shape.form : "drawn";
  const known = shapes.map(({ shape, name }) => ({ value: shape.form as string, label: name }));
  return (
    <Choice
      label="Form"
      value={own}
      options={own === "drawn" ? [{ value: "drawn", label: "Drawing" }, ...known] : known}
      onChosen={(form) => {
        const shape = shapes.find((each) => each.shape.form === form)?.shape;
        return shape ? edits.edit({ edit: "reshapePiece", elementId: element.id, shape }) : undefined;
      }}
    />
  );
}
