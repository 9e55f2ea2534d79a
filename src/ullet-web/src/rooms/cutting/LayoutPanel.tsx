import { useEdits } from "../../api/edits";
import type { ClothCut, CutMarks, Lying } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { LengthField } from "../../parts/fields/LengthField";
import { NumberField } from "../../parts/fields/NumberField";
import { MatPhotoFields } from "./MatPhotoFields";
import { heldCloth } from "./heldCloth";
import type { TableProps } from "./tableProps";
import { RadioList } from "../../parts/fields/RadioList";
import { Tick } from "../../parts/fields/Tick";

const LIES: { value: NonNullable<Lying>; label: string; about: string }[] = [
  { value: "faceUp", label: "Not mirrored", about: "the cloth lies face up" },
  { value: "faceDown", label: "Mirror: cloth face down", about: "it is cut from its back" },
  { value: "paperUp", label: "Mirror: fusible, paper up", about: "the shape is cut through the paper" },
  {
    value: "filmDown",
    label: "Mirror: iron-on film",
    about: "its carrier lies down, it is cut from its back",
  },
];

const MARKS: { key: keyof CutMarks; label: string }[] = [
  { key: "labels", label: "Names" },
  { key: "centres", label: "Centre cross, arrow up" },
  { key: "matches", label: "Match marks" },
  { key: "seams", label: "Seams and folds of layers" },
  { key: "weedingBox", label: "Weeding box round all" },
];

/** Mirror, mat, cloth, layout and marks of one cloth. */
export function LayoutPanel({ projectId, scene, cloth }: TableProps) {
  const edits = useEdits(projectId);
  const { cut, mat } = cloth;
  const sheet = (change: (now: Settings) => Partial<Settings>) =>
    edits.edit((now) => {
      const own = settings(heldCloth(now, cloth).cut);
      return { edit: "setSheet", clothId: cloth.clothId, ...own, ...change(own) };
    });
  const setMat = (change: { width?: number; height?: number; margin?: number }) =>
    edits.edit((now) => {
      const { mat: own, hasOwnMat } = heldCloth(now, cloth);
      return { edit: "setMat", ...own, ...change, clothId: hasOwnMat ? cloth.clothId : null };
    });
  return (
    <>
      <fieldset className="space-y-1">
        <legend className="font-semibold">How the cloth lies</legend>
        <RadioList
          label="How the cloth lies"
          value={cut.lies ?? "faceUp"}
          options={LIES}
          onChosen={(lies) => edits.edit({ edit: "mirrorCloth", clothId: cloth.clothId, lies })}
        />
        {cloth.isMirrored ? (
          <p className="text-[13px] font-semibold text-madder">
            Files are mirrored and say so. Do not mirror them again in the cutter.
          </p>
        ) : null}
      </fieldset>
      <div className="grid grid-cols-3 gap-2">
        <LengthField
          label="Mat width"
          value={mat.width}
          unit={scene.unit}
          onTyped={(width) => setMat({ width })}
        />
        <LengthField
          label="Mat height"
          value={mat.height}
          unit={scene.unit}
          onTyped={(height) => setMat({ height })}
        />
        <LengthField
          label="Mat margin"
          value={mat.margin}
          unit={scene.unit}
          onTyped={(margin) => setMat({ margin })}
        />
      </div>
      <Tick
        label="This cloth has a mat of its own"
        checked={cloth.hasOwnMat}
        onChanged={(on) =>
          edits.edit(
            on
              ? { edit: "setMat", ...mat, clothId: cloth.clothId }
              : { edit: "shareMat", clothId: cloth.clothId },
          )
        }
      />
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Layout"
          value={cut.layout ?? "auto"}
          options={[
            { value: "auto", label: "as it fits" },
            { value: "inPlace", label: "in place" },
            { value: "packed", label: "packed" },
          ]}
          onChosen={(layout) =>
            sheet(() => ({ layout: layout === "auto" ? null : (layout as "inPlace" | "packed") }))
          }
        />
        <Choice
          label="Grain"
          value={cut.grain ?? "free"}
          options={[
            { value: "free", label: "any way" },
            { value: "twoWays", label: "two ways" },
            { value: "oneWay", label: "one way" },
          ]}
          onChosen={(grain) => sheet(() => ({ grain: grain as "free" | "twoWays" | "oneWay" }))}
        />
        <LengthField
          label="Gap between shapes"
          value={cut.gap ?? 2}
          unit={scene.unit}
          onTyped={(gap) => sheet(() => ({ gap }))}
        />
        <LengthField
          label="Usable cloth width"
          value={cut.usableWidth ?? cloth.usable.width}
          unit={scene.unit}
          onTyped={(usableWidth) => sheet(() => ({ usableWidth }))}
        />
        <NumberField
          label="Copies"
          value={cut.copies ?? 1}
          digits={0}
          onTyped={(copies) => sheet(() => ({ copies: Math.round(copies) }))}
        />
        {cut.usableWidth == null ? null : (
          <Button className="self-end" onClick={() => sheet(() => ({ usableWidth: null }))}>
            As wide as the mat
          </Button>
        )}
      </div>
      {cloth.layout === "packed" ? (
        <p className="text-[13px] text-muted">
          Choose several shapes (Shift and click, on the mat or in the list) to keep them together.
        </p>
      ) : null}
      <fieldset className="space-y-1">
        <legend className="font-semibold">Drawn on the pieces</legend>
        <div className="grid grid-cols-2 gap-x-2 gap-y-1">
          {MARKS.map(({ key, label }) => (
            <Tick
              key={key}
              label={label}
              checked={cut.marks?.[key] ?? false}
              onChanged={(on) => sheet((now) => ({ marks: { ...now.marks, [key]: on } }))}
            />
          ))}
        </div>
        <p className="text-[13px] text-muted">
          Marks stand in groups of their own in the files, for a pen. The page for scissors has them always.
        </p>
      </fieldset>
      <MatPhotoFields projectId={projectId} scene={scene} cloth={cloth} />
    </>
  );
}

type Settings = ReturnType<typeof settings>;

/** The layout settings as they are, everything filled in. */
function settings(cut: ClothCut["cut"]) {
  return {
    layout: cut.layout ?? null,
    grain: cut.grain ?? "free",
    gap: cut.gap ?? 2,
    copies: cut.copies ?? 1,
    usableWidth: cut.usableWidth ?? null,
    marks: {
      labels: cut.marks?.labels ?? false,
      centres: cut.marks?.centres ?? false,
      matches: cut.marks?.matches ?? false,
      seams: cut.marks?.seams ?? false,
      weedingBox: cut.marks?.weedingBox ?? false,
    },
  };
}
