import { Snowflake } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Operation, OperationChoice } from "../../../api/client";
import { Button } from "../../../parts/Button";
import type { ElementProps } from "../card/elementProps";
import { AddOperation } from "./AddOperation";
import { LeftoversList } from "./LeftoversList";
import { OperationRow } from "./OperationRow";
import { SourceList } from "./SourceList";
import { withSources } from "./sources";

/** What is done to an element's outline, in order; what that leaves; and the ways out of it. */
export function OperationsFields(props: ElementProps) {
  const { projectId, scene, element } = props;
  const edits = useEdits(projectId);
  const [asked, setAsked] = useState<OperationChoice | null>(null);

  const add = (operation: Operation) => {
    setAsked(null);
    void edits.edit({ edit: "addOperation", elementId: element.id, operation });
  };

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
      {asked ? (
        <SourceList
          title={`${asked.asks} …`}
          action={asked.name}
          others={scene.elements.filter((other) => other.id !== element.id)}
          onChosen={(ids) => add(withSources(asked.operation, ids))}
          onCancel={() => setAsked(null)}
        />
      ) : (
        <AddOperation
          isLine={element.followsLines}
          disabled={element.isLocked}
          onAsked={(choice) => (choice.asks ? setAsked(choice) : add(choice.operation))}
        />
      )}
      <LeftoversList {...props} />
      {element.operations.length ? (
        <Button
          className="w-full"
          disabled={element.isLocked}
          title="The outline stays as it is now and no longer follows its sources"
          onClick={() => edits.edit({ edit: "freezeElement", elementId: element.id, keepsOperations: false })}
        >
          <Snowflake size={15} aria-hidden />
          Freeze into nodes
        </Button>
      ) : null}
    </>
  );
}
