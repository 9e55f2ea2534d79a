import { useForm } from "../../api/queries";
import type { Margin, Scene, SheetShape } from "../../api/client";

interface Props {
  projectId: string;
  scene: Scene;
  shape: SheetShape;
}

/** Places farther from each other than this are not joined, mm. */
const JOINED = 4;

/** The edge match along a shape on the mat, and a ring round its worst place. */
export function MarginLine({ projectId, scene, shape }: Props) {
  const known = scene.elements.some((element) => element.id === shape.elementId);
  const match = useForm(projectId, known ? shape.elementId : null, scene.head).data?.edgeMatch;
  if (!known || !match) return null;
  const own = [...match.margins, ...match.elsewhere].filter((margin) => margin.ordinal === shape.ordinal);
  const worst = match.worstOfEach.find((margin) => margin.ordinal === shape.ordinal);
  const place = (margin: Margin) => onMat(margin, shape.toMat);
  const lines = { holds: "", fails: "" };
  own.forEach((margin, i) => {
    const last = own[i - 1];
    if (!last || last.ring !== margin.ring || Math.hypot(margin.x - last.x, margin.y - last.y) > JOINED)
      return;
    const [a, b] = [place(last), place(margin)];
    lines[margin.spare < 0 || last.spare < 0 ? "fails" : "holds"] += `M${a.x} ${a.y}L${b.x} ${b.y}`;
  });
  const ring = worst ? place(worst) : null;
  return (
    <g fill="none" strokeLinecap="round" pointerEvents="none">
      <path d={lines.holds} stroke="#1f7a6d" strokeWidth="1.4" />
      <path d={lines.fails} stroke="#b3343a" strokeWidth="2.4" />
      {ring ? (
        <>
          <circle cx={ring.x} cy={ring.y} r="4" stroke="#ffffff" strokeWidth="2.6" />
          <circle
            cx={ring.x}
            cy={ring.y}
            r="4"
            stroke={match.holds ? "#d98a00" : "#b3343a"}
            strokeWidth="1.3"
          />
        </>
      ) : null}
    </g>
  );
}

function onMat({ x, y }: { x: number; y: number }, map: number[]) {
  const [a = 1, b = 0, c = 0, d = 1, e = 0, f = 0] = map;
  return { x: a * x + c * y + e, y: b * x + d * y + f };
}
