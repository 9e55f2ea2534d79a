import { useEffect } from "react";
import { useEdits } from "../../api/edits";
import { useForm } from "../../api/queries";
import { Button } from "../../parts/Button";
import { useView } from "../../state/view";
import { EdgeMatchChart } from "../../parts/EdgeMatchChart";
import type { ClothProps } from "./elementProps";
import { wallEvents } from "./wallEvents";

/** How well the cover holds and hides the cut edge, along the edge; what mends it. */
export function EdgeMatchFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const showMargins = useView((view) => view.showMargins);
  const form = useForm(projectId, element.id, scene.head).data;
  const match = form?.edgeMatch;

  useEffect(() => {
    showMargins(match ? [...match.margins, ...match.elsewhere] : null);
    return () => showMargins(null);
  }, [match, showMargins]);

  if (!form) return <p className="text-[14px] text-muted">Reading the edge …</p>;
  if (!match)
    return (
      <p className="text-[14px] text-muted">No cover lies on this edge, so there is nothing to match.</p>
    );
  const worst = match.margins[match.worstAt];
  return (
    <>
      <p className="text-[14px]" data-holds={match.holds}>
        <strong className={match.holds ? "" : "text-madder"}>
          {match.holds ? "Holds." : "Does not hold."}
        </strong>{" "}
        {match.words}
      </p>
      <EdgeMatchChart match={match} unit={scene.unit} />
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
      {match.mends.map((mend) => (
        <Button
          key={mend.number}
          onClick={() =>
            void edits.edit({
              edit: "mendEdge",
              elementId: element.id,
              number: mend.number,
              value: mend.value,
            })
          }
        >
          {mend.label}
        </Button>
      ))}
    </>
  );
}
