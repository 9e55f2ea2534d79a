import { Lasso } from "lucide-react";
import { useEdits } from "../../../../api/edits";
import type { Element } from "../../../../api/elements";
import { Button } from "../../../../parts/Button";
import { Section } from "../../../../parts/Section";
import { useView } from "../../../../state/view";

interface Props {
  projectId: string;
  chosen: Element[];
}

/** What can be done with several blocks of opened stitches at once; nothing where none is selected. */
export function OpenedTogether({ projectId, chosen }: Props) {
  const edits = useEdits(projectId);
  const setTool = useView((view) => view.setTool);
  const blocks = chosen.filter((element) => element.making.kind === "opened");
  const ids = blocks.map((element) => element.id);
  if (!blocks.length) return null;
  return (
    <Section title="Stitches of a file">
      <div className="grid grid-cols-2 gap-1.5">
        <Button look="main" onClick={() => void edits.add({ edit: "makeLive", elementIds: ids })}>
          Make live
        </Button>
        <Button disabled={ids.length < 2} onClick={() => edits.edit({ edit: "joinOpened", elementIds: ids })}>
          Join
        </Button>
        <Button onClick={() => setTool("lasso")}>
          <Lasso size={16} aria-hidden />
          Lasso
        </Button>
        <Button onClick={() => void edits.add({ edit: "edgeRound", elementIds: ids })}>
          Edge round them
        </Button>
      </div>
    </Section>
  );
}
