import type { ReactNode } from "react";
import { useEdits } from "../api/edits";
import type { EdgeMatch, Unit } from "../api/client";
import { Button } from "./Button";
import { EdgeMatchChart } from "./EdgeMatchChart";

interface Props {
  projectId: string;
  elementId: string;
  match: EdgeMatch;
  unit: Unit;
  /** What stands between the chart and the mends. */
  children: ReactNode;
}

/** Whether an edge match holds, its chart, and the changes that mend it. */
export function EdgeMatchSummary({ projectId, elementId, match, unit, children }: Props) {
  const edits = useEdits(projectId);
  return (
    <>
      <p className="text-[14px]" data-holds={match.holds}>
        <strong className={match.holds ? "" : "text-madder"}>
          {match.holds ? "Holds." : "Does not hold."}
        </strong>{" "}
        {match.words}
      </p>
      <EdgeMatchChart match={match} unit={unit} />
      {children}
      {match.mends.map((mend) => (
        <Button
          key={mend.number}
          onClick={() => edits.edit({ edit: "mendEdge", elementId, number: mend.number, value: mend.value })}
        >
          {mend.label}
        </Button>
      ))}
    </>
  );
}
