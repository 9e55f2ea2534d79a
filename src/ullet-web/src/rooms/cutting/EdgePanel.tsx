import { useEffect } from "react";
import { useNavigate } from "react-router";
import { useForm } from "../../api/queries";
import type { EdgeMatch, Scene } from "../../api/client";
import { Button } from "../../parts/Button";
import { EdgeMatchSummary } from "../../parts/EdgeMatchSummary";
import { useView } from "../../state/view";
import { CouponFields } from "./CouponFields";
import { markOf, type TableProps } from "./tableProps";
import { ToleranceFields } from "./ToleranceFields";

/** How far the cut edge stays under the cover, its worst place, the tolerances it is reckoned with, and the coupon. */
export function EdgePanel(props: TableProps) {
  const { projectId, scene, sheet, chosen, choose } = props;
  const shape = sheet.shapes.find((each) => chosen.includes(markOf(each))) ?? sheet.shapes[0];
  const element = scene.elements.find((each) => each.id === shape?.elementId);
  const form = useForm(projectId, element?.id ?? null, scene.head).data;
  const match = form?.edgeMatch;
  const mark = shape ? markOf(shape) : null;
  const isChosen = mark !== null && chosen.includes(mark);

  // The shape that is spoken of is the one with the ring on the mat.
  useEffect(() => {
    if (mark !== null && !isChosen) choose([mark]);
  }, [mark, isChosen, choose]);

  return (
    <>
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="Which shape">
        {sheet.shapes
          .filter((each) => each.copy === 0)
          .map((each) => (
            <Button
              key={markOf(each)}
              aria-pressed={each === shape}
              className="aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
              onClick={() => choose([markOf(each)])}
            >
              {each.name}
            </Button>
          ))}
      </div>
      {!element ? (
        <p className="text-[14px] text-muted">
          {shape?.name} is a layer of the pattern: its edge lies in the seam, no cover has to hide it.
        </p>
      ) : match ? (
        <Match projectId={projectId} scene={scene} elementId={element.id} match={match} />
      ) : (
        <p className="text-[14px] text-muted">
          {form ? "No cover lies on this edge, so there is nothing to match." : "Reading the edge …"}
        </p>
      )}
      <ToleranceFields {...props} />
      <CouponFields {...props} />
    </>
  );
}

function Match(props: { projectId: string; scene: Scene; elementId: string; match: EdgeMatch }) {
  const { projectId, scene, elementId, match } = props;
  const go = useNavigate();
  const worst = match.margins[match.worstAt];
  return (
    <EdgeMatchSummary projectId={projectId} elementId={elementId} match={match} unit={scene.unit}>
      <p className="text-[13px] text-muted">
        The ring on the mat marks the worst place.{" "}
        <button
          type="button"
          className="text-indigo underline"
          onClick={() => {
            const view = useView.getState();
            view.select([elementId]);
            if (worst) view.want({ x: worst.x, y: worst.y });
            void go(`/p/${projectId}/wall`);
          }}
        >
          Show it on the wall
        </button>
      </p>
    </EdgeMatchSummary>
  );
}
