import { useEdits } from "../../api/edits";
import type { EdgeTolerances } from "../../api/client";
import { Button } from "../../parts/Button";
import { NumberField } from "../../parts/fields/NumberField";
import { heldCloth } from "./heldCloth";
import type { TableProps } from "./tableProps";

/** How exact cutter and hands are with this cloth; the edge match counts with it. */
export function ToleranceFields({ projectId, cloth }: TableProps) {
  const edits = useEdits(projectId);
  const own = cloth.cut.tolerances ?? {};
  const usual = cloth.usualTolerances;
  const shown = (key: keyof EdgeTolerances) => own[key] ?? usual[key] ?? 0;
  const set = (change: Partial<EdgeTolerances>) =>
    edits.edit((now) => ({
      edit: "setTolerances",
      clothId: cloth.clothId,
      tolerances: { ...heldCloth(now, cloth).cut.tolerances, ...change },
    }));
  const isOwn = Object.values(own).some((value) => value != null);
  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">How exact, with {cloth.name}</legend>
      <div className="grid grid-cols-2 gap-2">
        <NumberField
          label="Cutting, to either side"
          unit="mm"
          digits={2}
          value={shown("cutting")}
          onTyped={(cutting) => set({ cutting })}
        />
        <NumberField
          label="Laying, to either side"
          unit="mm"
          digits={2}
          value={shown("laying")}
          onTyped={(laying) => set({ laying })}
        />
        <NumberField
          label="Trimming leaves at least"
          unit="mm"
          digits={2}
          value={shown("trimLeast")}
          onTyped={(trimLeast) => set({ trimLeast })}
        />
        <NumberField
          label="Trimming leaves at most"
          unit="mm"
          digits={2}
          value={shown("trimMost")}
          onTyped={(trimMost) => set({ trimMost })}
        />
        <NumberField
          label="Draw-in"
          unit="%"
          digits={2}
          value={shown("drawIn") * 100}
          onTyped={(percent) => set({ drawIn: percent / 100 })}
        />
      </div>
      <p className="text-[13px] text-muted">
        {isOwn ? "Measured or typed for this cloth." : "The usual numbers; a coupon measures yours."}
      </p>
      {isOwn ? (
        <Button onClick={() => edits.edit({ edit: "setTolerances", clothId: cloth.clothId, tolerances: {} })}>
          Back to the usual
        </Button>
      ) : null}
    </fieldset>
  );
}
