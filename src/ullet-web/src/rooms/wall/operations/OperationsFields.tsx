import { Snowflake } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Operation } from "../../../api/client";
import { Button } from "../../../parts/Button";
import type { ElementProps } from "../elementProps";
import { AddOperation } from "./AddOperation";
import { LeftoversList } from "./LeftoversList";
import { OperationRow } from "./OperationRow";
import { SourceList } from "./SourceList";
import { fresh, KINDS } from "./kinds";

/** What is done to an element's outline, in order; what that leaves; and the ways out of it. */
export function OperationsFields(props: ElementProps) {
  const { projectId, scene, element } = props;
  const edits = useEdits(projectId);
  const [asked, setAsked] = useState<Operation["operation"] | null>(null);
  const kind = KINDS.find((each) => each.kind === asked);

  const add = (operation: Operation) => {
    setAsked(null);
    void edits.edit({ edit: "addOperation", elementId: element.id, operation });
  };
  const others = scene.elements.filter((other) => other.id !== element.id);

  return (
    <>
      {element.operations.length ? (
        <ol aria-label="Operations" className="space-y-1.5">
          {element.operations.map((row, i) => (
            <OperationRow key={row.operation.id} {...props} row={row} place={i} />
          ))}
        </ol>
      ) : (
        <p className="text-[13px] text-muted">
          Carve, join, round or repeat this element: it keeps how it was made, and nothing is used up.
        </p>
      )}
      {kind?.asks ? (
        <SourceList
          title={`${kind.asks} …`}
          action={kind.label}
          others={others}
          onChosen={(ids) => add(fresh(kind.kind, ids))}
          onCancel={() => setAsked(null)}
        />
      ) : (
        <AddOperation
          isLine={element.kind === "line"}
          disabled={element.isLocked}
          onAsked={(next) => {
            if (KINDS.find((each) => each.kind === next)?.asks) setAsked(next);
            else add(fresh(next, []));
          }}
        />
      )}
      <LeftoversList {...props} />
      {element.operations.length ? (
        <Button
          className="w-full"
          disabled={element.isLocked}
          title="The outline stays as it is now and no longer follows its sources"
          onClick={() =>
            void edits.edit({ edit: "freezeElement", elementId: element.id, keepsOperations: false })
          }
        >
          <Snowflake size={15} aria-hidden />
          Freeze into nodes
        </Button>
      ) : null}
    </>
  );
}
