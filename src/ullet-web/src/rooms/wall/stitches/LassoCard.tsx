import { Scissors, Trash2 } from "lucide-react";
import type { Scene } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import type { Element } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { useView } from "../../../state/view";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

/** What becomes of what a lasso went round: of the selected blocks, or of all opened stitches where none is selected. */
export function LassoCard({ projectId, scene, chosen }: Props) {
  const edits = useEdits(projectId);
  const { lasso, setLasso, setTool } = useView();
  const opened = (chosen.length ? chosen : scene.elements).filter(
    (element) => element.making.kind === "opened" && (chosen.length > 0 || !element.making.isResting),
  );
  const done = (ok: boolean) => {
    if (ok) setTool("select");
  };
  const erase = async () => {
    if (lasso)
      done(await edits.edit({ edit: "eraseOpened", elementIds: opened.map((element) => element.id), lasso }));
  };
  const split = async () => {
    const only = opened[0];
    if (lasso && only)
      done(await edits.add({ edit: "splitOpened", elementId: only.id, where: "lasso", lasso }));
  };
  return (
    <div className="space-y-3 px-4 py-3">
      <h2 className="font-head text-[17px] font-semibold">Lasso</h2>
      <p className="text-[14px] text-muted">
        {opened.length === 0
          ? "There are no opened stitches that a lasso could take from."
          : opened.length === 1
            ? `Draw round a part of ${opened[0]?.name ?? "it"} in one go. No needle point outside the line moves; threads that are cut get their locks.`
            : `Draw round a part of ${opened.length} blocks in one go. No needle point outside the line moves; threads that are cut get their locks.`}
      </p>
      <div className="grid gap-1.5">
        <Button look="trouble" disabled={!lasso || !opened.length} onClick={() => void erase()}>
          <Trash2 size={16} aria-hidden />
          Delete what is inside
        </Button>
        <Button disabled={!lasso || opened.length !== 1} onClick={() => void split()}>
          <Scissors size={16} aria-hidden />
          Split off what is inside
        </Button>
        {lasso ? <Button onClick={() => setLasso(null)}>Draw it again</Button> : null}
        <Button onClick={() => setTool("select")}>Put it down</Button>
      </div>
    </div>
  );
}
