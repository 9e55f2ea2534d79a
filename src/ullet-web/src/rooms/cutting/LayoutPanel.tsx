import { useEdits } from "../../api/edits";
import type { ClothCut, CutMarks, Lying } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/Choice";
import { LengthField } from "../../parts/LengthField";
import { NumberField } from "../../parts/NumberField";
import { MatPhotoFields } from "./MatPhotoFields";
import type { TableProps } from "./tableProps";

const LIES: { value: Lying; label: string; why: string }[] = [
  { value: "faceUp", label: "Not mirrored", why: "the cloth lies face up" },
  { value: "faceDown", label: "Mirror: cloth face down", why: "it is cut from its back" },
  { value: "paperUp", label: "Mirror: fusible, paper up", why: "the shape is cut through the paper" },
  { value: "filmDown", label: "Mirror: iron-on film", why: "its carrier lies down, it is cut from its back" },
];

const MARKS: { key: keyof CutMarks; label: string }[] = [
  { key: "labels", label: "Names" },
  { key: "centres", label: "Centre cross, arrow up" },
  { key: "matches", label: "Match marks" },
  { key: "seams", label: "Seams and folds of layers" },
];

/** Mirror, mat, cloth, layout and marks of one cloth. */
export function LayoutPanel({ projectId, scene, cloth }: TableProps) {
  const edits = useEdits(projectId);
  const { cut, mat } = cloth;
  const sheet = (change: Partial<ReturnType<typeof settings>>) =>
    void edits.edit({ edit: "setSheet", clothId: cloth.clothId, ...settings(cut), ...change });
  const setMat = (change: { width?: number; height?: number; margin?: number }) =>
    void edits.edit({
      edit: "setMat",
      ...mat,
      ...change,
      clothId: cloth.hasOwnMat ? cloth.clothId : null,
    });
  return (
    <>
      <fieldset className="space-y-1">
        <legend className="font-semibold">How the cloth lies</legend>
        {LIES.map((way) => (
          <label key={way.value} className="flex items-start gap-2">
            <input
              type="radio"
              name="lies"
              className="mt-1 size-4 accent-indigo"
              checked={cut.lies === way.value}
              onChange={() =>
                void edits.edit({ edit: "mirrorCloth", clothId: cloth.clothId, lies: way.value })
              }
            />
            <span>
              {way.label}
              <span className="block text-[13px] text-muted">{way.why}</span>
            </span>
          </label>
        ))}
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
      <label className="flex items-center gap-2 text-[14px]">
        <input
          type="checkbox"
          className="size-4 accent-indigo"
          checked={cloth.hasOwnMat}
          onChange={(event) =>
            void edits.edit(
              event.target.checked
                ? { edit: "setMat", ...mat, clothId: cloth.clothId }
                : { edit: "shareMat", clothId: cloth.clothId },
            )
          }
        />
        This cloth has a mat of its own
      </label>
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
            sheet({ layout: layout === "auto" ? null : (layout as "inPlace" | "packed") })
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
          onChosen={(grain) => sheet({ grain: grain as "free" | "twoWays" | "oneWay" })}
        />
        <LengthField
          label="Gap between shapes"
          value={cut.gap ?? 2}
          unit={scene.unit}
          onTyped={(gap) => sheet({ gap })}
        />
        <LengthField
          label="Usable cloth width"
          value={cut.usableWidth ?? cloth.usable.width}
          unit={scene.unit}
          onTyped={(usableWidth) => sheet({ usableWidth })}
        />
        <NumberField
          label="Copies"
          value={cut.copies ?? 1}
          digits={0}
          onTyped={(copies) => sheet({ copies: Math.round(copies) })}
        />
        {cut.usableWidth == null ? null : (
          <Button className="self-end" onClick={() => sheet({ usableWidth: null })}>
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
            <label key={key} className="flex items-center gap-2 text-[14px]">
              <input
                type="checkbox"
                className="size-4 accent-indigo"
                checked={cut.marks?.[key] ?? false}
                onChange={(event) =>
                  sheet({ marks: { ...settings(cut).marks, [key]: event.target.checked } })
                }
              />
              {label}
            </label>
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
    },
  };
}
