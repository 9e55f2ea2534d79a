import { useEffect } from "react";
import { useForm } from "../../../../api/queries";
import { EdgeMatchSummary } from "../../../../parts/EdgeMatchSummary";
import { useView } from "../../../../state/view";
import type { ClothProps } from "../../card/elementProps";
import { wallEvents } from "../../../../verbs/wallEvents";

/** How well the cover holds and hides the cut edge, along the edge; what mends it. */
export function EdgeMatchFields({ projectId, scene, element }: ClothProps) {
  const showMatch = useView((view) => view.showMatch);
  const form = useForm(projectId, element.id, scene.head).data;
  const match = form?.edgeMatch;

  useEffect(() => {
    showMatch(true);
    return () => showMatch(false);
  }, [showMatch]);

  if (!form) return <p className="text-[14px] text-muted">Reading the edge …</p>;
  if (!match)
    return (
      <p className="text-[14px] text-muted">No cover lies on this edge, so there is nothing to match.</p>
    );
  const worst = match.margins[match.worstAt];
  return (
    <EdgeMatchSummary projectId={projectId} elementId={element.id} match={match} unit={scene.unit}>
      <p className="text-[13px] text-muted">
        Cutting, laying or trimming by hand, and the pull of the thread are counted in.{" "}
        <button
          type="button"
          className="text-indigo hover:underline"
          onClick={() => (worst ? wallEvents.lookAt(worst.x, worst.y) : undefined)}
        >
          Show the worst place
        </button>
      </p>
    </EdgeMatchSummary>
  );
}
