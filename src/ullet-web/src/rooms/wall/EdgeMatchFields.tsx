import { useEffect } from "react";
import { useEdits } from "../../api/edits";
import { useForm } from "../../api/queries";
import { Button } from "../../parts/Button";
import { withUnit } from "../../state/lengths";
import { useView } from "../../state/view";
import { EdgeMatchChart } from "./EdgeMatchChart";
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
  const { worst } = match;
  return (
    <>
      <p className="text-[14px]" data-holds={match.holds}>
        {match.holds ? (
          <>
            <strong>Holds.</strong> At its worst place the cover still bites{" "}
            {withUnit(Math.max(worst.bite, 0), scene.unit)}.
          </>
        ) : (
          <>
            <strong className="text-madder">Does not hold.</strong>{" "}
            {worst.beyond != null && worst.spare === worst.beyond
              ? `The edge may come out from under the cover by ${withUnit(-worst.beyond, scene.unit)}.`
              : `The cover may bite only ${withUnit(Math.max(worst.bite, 0), scene.unit)}; ${withUnit(match.wanted, scene.unit)} is wanted.`}
          </>
        )}
      </p>
      <EdgeMatchChart match={match} unit={scene.unit} />
      <p className="text-[13px] text-muted">
        Cutting, laying or trimming by hand, and the pull of the thread are counted in.{" "}
        <button
          type="button"
          className="text-indigo hover:underline"
          onClick={() => wallEvents.lookAt(worst.x, worst.y)}
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
