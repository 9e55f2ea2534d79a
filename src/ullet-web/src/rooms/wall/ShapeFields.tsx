import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { ShapeSource } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { LengthField } from "../../parts/LengthField";
import { NumberField } from "../../parts/NumberField";
import type { ShapedProps } from "./elementProps";

/** The generator and its numbers, and the hole. */
export function ShapeFields({ projectId, scene, element }: ShapedProps) {
  const edits = useEdits(projectId);
  const shapes = useCatalogue().data?.shapes ?? [];
  const { shape, hole } = element;
  const reshape = (next: ShapeSource) =>
    void edits.edit({ edit: "reshapePiece", elementId: element.id, shape: next });
  const known = shapes.map((each) => ({ value: each.shape.form as string, label: each.name }));
  return (
    <>
      <Choice
        label="Form"
        value={shape.form}
        options={shape.form === "drawn" ? [{ value: "drawn", label: "Drawing" }, ...known] : known}
        onChosen={(form) => {
          const next = shapes.find((each) => each.shape.form === form)?.shape;
          if (next) reshape(next);
        }}
      />
      {shape.form === "rectangle" ? (
        <LengthField
          label="Corner radius"
          value={shape.cornerRadius ?? 0}
          unit={scene.unit}
          onTyped={(cornerRadius) => reshape({ ...shape, cornerRadius })}
        />
      ) : null}
      {shape.form === "polygon" ? (
        <NumberField
          label="Sides"
          value={shape.sides ?? 6}
          digits={0}
          onTyped={(sides) => reshape({ ...shape, sides: Math.round(sides) })}
        />
      ) : null}
      {shape.form === "star" ? (
        <div className="grid grid-cols-2 gap-1.5">
          <NumberField
            label="Points"
            value={shape.points ?? 5}
            digits={0}
            onTyped={(points) => reshape({ ...shape, points: Math.round(points) })}
          />
          <NumberField
            label="Inner corners"
            value={(shape.innerShare ?? 0.45) * 100}
            digits={0}
            unit="%"
            onTyped={(share) => reshape({ ...shape, innerShare: share / 100 })}
          />
        </div>
      ) : null}
      {shape.form === "crescent" ? (
        <NumberField
          label="Thickness"
          value={(shape.thickness ?? 0.35) * 100}
          digits={0}
          unit="%"
          onTyped={(share) => reshape({ ...shape, thickness: share / 100 })}
        />
      ) : null}
      <HoleFields projectId={projectId} scene={scene} element={element} />
      {hole ? <p className="text-[13px] text-muted">The hole is stitched and cut as well.</p> : null}
    </>
  );
}

function HoleFields({ projectId, scene, element }: ShapedProps) {
  const edits = useEdits(projectId);
  const { hole, holeCount, box, shape } = element;
  const kind =
    holeCount > 1 || hole?.shape.form === "drawn"
      ? "drawn"
      : !hole
        ? "none"
        : hole.shape.form === "ellipse"
          ? "round"
          : "same";
  const set = (next: typeof hole) => void edits.edit({ edit: "setHole", elementId: element.id, hole: next });
  const third = { x: 0, y: 0, width: box.width / 3, height: box.height / 3 };
  const round = Math.min(third.width, third.height);
  return (
    <>
      {holeCount > 1 ? (
        <p className="text-[14px] text-muted">
          {holeCount} holes came with the drawing; choose another hole to replace them.
        </p>
      ) : null}
      <Choice
        label="Hole"
        value={kind}
        options={[
          { value: "none", label: "none" },
          { value: "round", label: "round" },
          { value: "same", label: "the piece’s own form" },
          ...(kind === "drawn" ? [{ value: "drawn", label: "as drawn" }] : []),
        ]}
        onChosen={(next) =>
          next === "drawn"
            ? null
            : set(
                next === "none"
                  ? null
                  : next === "round"
                    ? { ...third, width: round, height: round, shape: { form: "ellipse" } }
                    : { ...third, shape },
              )
        }
      />
      {hole ? (
        <div className="grid grid-cols-2 gap-1.5">
          <LengthField
            label="Hole width"
            value={hole.width}
            unit={scene.unit}
            onTyped={(width) => set({ ...hole, width, height: (hole.height * width) / hole.width })}
          />
          <LengthField
            label="Hole, down"
            value={hole.y}
            unit={scene.unit}
            onTyped={(y) => set({ ...hole, y })}
          />
        </div>
      ) : null}
    </>
  );
}
