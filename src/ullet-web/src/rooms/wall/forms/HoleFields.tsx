import { useEdits } from "../../../api/edits";
import { isFormed, type Formed } from "../../../api/elements";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import type { ElementProps } from "../card/elementProps";
import { newest } from "../card/newest";

type Props = ElementProps<Formed<"shape"> | Formed<"drawing">>;
type Hole = NonNullable<Formed<"shape">["form"]["hole"]>;

export function holesBrief(count: number): string {
  return count === 0 ? "no hole" : count === 1 ? "with a hole" : `${count} holes`;
}

/** The hole that is given apart from the outline. */
export function HoleFields({ projectId, scene, element }: Props) {
  const edits = useEdits(projectId);
  const { hole, holeCount } = element.form;
  const own = isFormed(element, "shape") ? element.form.shape : null;
  const set = (next: Hole | null) => edits.edit({ edit: "setHole", elementId: element.id, hole: next });
  const change = (held: Hole, part: (now: Hole) => Partial<Hole>) =>
    edits.edit((scene) => {
      const now = newest(scene, element).form.hole ?? held;
      return { edit: "setHole", elementId: element.id, hole: { ...now, ...part(now) } };
    });
  const third = { x: 0, y: 0, width: element.box.width / 3, height: element.box.height / 3 };
  const side = Math.min(third.width, third.height);
  const wishes: Record<string, () => unknown> = {
    none: () => set(null),
    round: () => set({ ...third, width: side, height: side, shape: { form: "ellipse" } }),
    same: () => (own ? set({ ...third, shape: own }) : undefined),
  };
  return (
    <>
      {holeCount > 1 ? (
        <p className="text-[14px] text-muted">
          {holeCount} holes came with the drawing; choose another hole to replace them.
        </p>
      ) : null}
      <Choice
        label="Hole"
        value={kindOf(hole, holeCount)}
        options={[
          { value: "none", label: "none" },
          { value: "round", label: "round" },
          ...(own || kindOf(hole, holeCount) === "same"
            ? [{ value: "same", label: "the piece’s own form" }]
            : []),
          ...(kindOf(hole, holeCount) === "drawn" ? [{ value: "drawn", label: "as drawn" }] : []),
        ]}
        onChosen={(next) => wishes[next]?.()}
      />
      {hole ? (
        <>
          <div className="grid grid-cols-2 gap-1.5">
            <LengthField
              label="Hole width"
              value={hole.width}
              unit={scene.unit}
              onTyped={(width) =>
                change(hole, (now) => ({ width, height: (now.height * width) / now.width }))
              }
            />
            <LengthField
              label="Hole, down"
              value={hole.y}
              unit={scene.unit}
              onTyped={(y) => change(hole, () => ({ y }))}
            />
          </div>
          <p className="text-[13px] text-muted">The hole is stitched and cut as well.</p>
        </>
      ) : null}
    </>
  );
}

function kindOf(hole: Hole | null, count: number): string {
  if (count > 1 || hole?.shape.form === "drawn") return "drawn";
  if (!hole) return "none";
  return hole.shape.form === "ellipse" ? "round" : "same";
}
