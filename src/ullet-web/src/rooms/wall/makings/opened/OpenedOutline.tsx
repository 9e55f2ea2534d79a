import { useEdits } from "../../../../api/edits";
import type { Made } from "../../../../api/elements";
import { Button } from "../../../../parts/Button";
import type { ElementProps } from "../../card/elementProps";

/** What can be made of opened stitches: a live piece, a shape to cut, an edge round them. */
export function OpenedOutline({ projectId, element }: ElementProps<Made<"opened">>) {
  const edits = useEdits(projectId);
  const ids = [element.id];
  return (
    <>
      {element.making.isResting ? (
        <Button onClick={() => edits.edit({ edit: "setOpened", elementIds: ids, isResting: false })}>
          Sew it again
        </Button>
      ) : (
        <>
          <Button look="main" onClick={() => void edits.add({ edit: "makeLive", elementIds: ids })}>
            Make live
          </Button>
          <p className="text-[13px] text-muted">
            A piece of cloth with outline, method and cover as they were sewn; these stitches stay beside it,
            unsewn, until you delete them.
          </p>
        </>
      )}
      <Button onClick={() => void edits.add({ edit: "cutFromStitches", elementId: element.id })}>
        Take its shape to cut
      </Button>
      <Button onClick={() => void edits.add({ edit: "edgeRound", elementIds: ids })}>
        Put an edge round it
      </Button>
    </>
  );
}
