import { ArrowLeftRight, Lasso, Scissors } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import { isFormed, type Made } from "../../../../api/elements";
import { Button } from "../../../../parts/Button";
import { useView } from "../../../../state/view";
import type { ElementProps } from "../../card/elementProps";
import { StitchPlayer } from "../../stitches/StitchPlayer";

/** Splits a block, takes some of it away with a lasso, and turns its direction. */
export function OpenedApart({ projectId, element }: ElementProps<Made<"opened">>) {
  const edits = useEdits(projectId);
  const { tool, setTool } = useView();
  const [plays, setPlays] = useState(false);
  const form = isFormed(element, "opened") ? element.form : null;
  const split = (where: "trims" | "jumps") =>
    edits.edit({ edit: "splitOpened", elementId: element.id, where });
  return (
    <>
      <div className="grid grid-cols-2 gap-1.5">
        <Button onClick={() => setTool(tool === "lasso" ? "select" : "lasso")}>
          <Lasso size={16} aria-hidden />
          Lasso
        </Button>
        <Button onClick={() => setPlays(true)}>
          <Scissors size={16} aria-hidden />
          Split at a stitch
        </Button>
        <Button disabled={!form?.trims} onClick={() => split("trims")}>
          Split at trims
        </Button>
        <Button disabled={!form || form.jumps < 2} onClick={() => split("jumps")}>
          Split at jumps
        </Button>
        <Button
          onClick={() => edits.edit({ edit: "setOpened", elementIds: [element.id], reverses: true })}
          className="col-span-2"
        >
          <ArrowLeftRight size={16} aria-hidden />
          Sew it the other way round
        </Button>
      </div>
      {plays ? (
        <StitchPlayer projectId={projectId} element={element} onClose={() => setPlays(false)} />
      ) : null}
    </>
  );
}
