import { useEdits } from "../../../../api/edits";
import { LengthField } from "../../../../parts/fields/LengthField";
import { Segments } from "../../../../parts/fields/Segments";
import { stitchText, useStitchUnit } from "../../../../state/units";
import type { ClothProps } from "../../card/elementProps";
import { newest } from "../../card/newest";

/** How stitches and cut follow an outline with detail that thread can't follow; nothing where it has none. */
export function OutlineFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const { leaves, drift, isSet, cutsAsSewn, isCut } = element.making.outline;
  const unit = useStitchUnit();
  if (leaves === 0 && !isSet) return null;
  const take = (part: { drift?: number; cutsAsSewn?: boolean }) =>
    edits.edit((now) => {
      const { outline } = newest(now, element).making;
      return {
        edit: "setDrift",
        elementId: element.id,
        drift: outline.drift,
        cutsAsSewn: outline.cutsAsSewn,
        ...part,
      };
    });
  return (
    <div className="space-y-1.5 rounded-card border border-line px-3 py-2">
      <p className="text-[13px]">
        {leaves === 0
          ? "Stitches follow the outline exactly."
          : `Thread can’t follow all of this outline; stitches lie up to ${stitchText(leaves, unit, 2)} beside it.`}
      </p>
      <LengthField
        label="How far they may"
        value={drift}
        unit={scene.unit}
        onTyped={(typed) => take({ drift: typed })}
      />
      {isCut ? (
        <Segments
          label="Cut along"
          value={cutsAsSewn ? "sewn" : "drawn"}
          options={[
            { value: "drawn", label: "outline as drawn" },
            { value: "sewn", label: "line as sewn" },
          ]}
          onChosen={(line) => take({ cutsAsSewn: line === "sewn" })}
        />
      ) : null}
    </div>
  );
}
