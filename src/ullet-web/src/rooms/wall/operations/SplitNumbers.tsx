import type { GivenOperation } from "../../../api/client";
import { useCatalogue } from "../../../api/queries";
import { Choice } from "../../../parts/fields/Choice";
import { NumberField } from "../../../parts/fields/NumberField";
import { LineChoice, Pair } from "./numberParts";
import type { NumbersOf } from "./numbers";

type Split = Extract<GivenOperation, { operation: "split" }>;

export function SplitNumbers({ scene, element, operation, length, onChanged }: NumbersOf<Split>) {
  const kinds = useCatalogue().data?.clothKinds ?? [];
  return (
    <>
      <Pair>
        <LineChoice
          label="By"
          scene={scene}
          elementId={element.id}
          lineId={operation.lineId}
          onChosen={(lineId) => onChanged({ ...operation, lineId })}
        />
        <Choice
          label="Covers the edge"
          value={operation.leftCovers ? "left" : "right"}
          options={[
            { value: "left", label: "left side" },
            { value: "right", label: "right side" },
          ]}
          onChosen={(side) => onChanged({ ...operation, leftCovers: side === "left" })}
        />
        {operation.lineId ? null : (
          <>
            {length("Line, right", operation.distance, (distance) => ({ ...operation, distance }))}
            <NumberField
              label="Line turn"
              value={operation.angle}
              unit="°"
              onTyped={(angle) => onChanged({ ...operation, angle })}
            />
          </>
        )}
      </Pair>
      <Choice
        label="Cloth of the right side"
        value={operation.rightClothId ?? ""}
        options={[
          { value: "", label: "the same" },
          ...scene.cloths
            .filter((cloth) => kinds.find((kind) => kind.id === cloth.kind)?.use !== "stabiliser")
            .map((cloth) => ({ value: cloth.id, label: cloth.name })),
        ]}
        onChosen={(cloth) => onChanged({ ...operation, rightClothId: cloth || null })}
      />
    </>
  );
}
