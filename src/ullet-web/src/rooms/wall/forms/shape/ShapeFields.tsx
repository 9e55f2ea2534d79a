import { useEdits } from "../../../../api/edits";
import type { Formed } from "../../../../api/elements";
import { LengthField } from "../../../../parts/fields/LengthField";
import { NumberField } from "../../../../parts/fields/NumberField";
import type { ElementProps } from "../../card/elementProps";
import { newest } from "../../card/newest";

/** The numbers of a generator. */
export function ShapeFields({ projectId, scene, element }: ElementProps<Formed<"shape">>) {
  const edits = useEdits(projectId);
  const { shape } = element.form;
  const reshape = (part: object) =>
    edits.edit((now) => ({
      edit: "reshapePiece",
      elementId: element.id,
      shape: { ...newest(now, element).form.shape, ...part },
    }));
  return (
    <>
      {shape.form === "rectangle" ? (
        <LengthField
          label="Corner radius"
          value={shape.cornerRadius ?? 0}
          unit={scene.unit}
          onTyped={(cornerRadius) => reshape({ cornerRadius })}
        />
      ) : null}
      {shape.form === "polygon" ? (
        <NumberField
          label="Sides"
          value={shape.sides ?? 6}
          digits={0}
          onTyped={(sides) => reshape({ sides: Math.round(sides) })}
        />
      ) : null}
      {shape.form === "star" ? (
        <div className="grid grid-cols-2 gap-1.5">
          <NumberField
            label="Points"
            value={shape.points ?? 5}
            digits={0}
            onTyped={(points) => reshape({ points: Math.round(points) })}
          />
          <NumberField
            label="Inner corners"
            value={(shape.innerShare ?? 0.45) * 100}
            digits={0}
            unit="%"
            onTyped={(share) => reshape({ innerShare: share / 100 })}
          />
        </div>
      ) : null}
      {shape.form === "crescent" ? (
        <NumberField
          label="Thickness"
          value={(shape.thickness ?? 0.35) * 100}
          digits={0}
          unit="%"
          onTyped={(share) => reshape({ thickness: share / 100 })}
        />
      ) : null}
    </>
  );
}
