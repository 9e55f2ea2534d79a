import { Layers2 } from "lucide-react";
import { useEdits } from "../../../../api/edits";
import { Button } from "../../../../parts/Button";
import type { Made } from "../../../../api/elements";
import { Section } from "../../../../parts/Section";
import type { ElementProps } from "../../card/elementProps";
import { EdgeSection } from "../EdgeFields";
import type { WallMaking } from "../module";
import { SewnIcon } from "../SewnIcon";
import { DirectionFields, RowFields, UnderRows } from "./RowFields";
import { useFilled } from "./useFilled";

/** Rows of stitches over an area. */
export const filled: WallMaking<"filled"> = {
  Icon: SewnIcon,
  Card: (props) => (
    <>
      <Section title="Fill">
        <RowFields {...props} />
        <UnderRows {...props} />
        <CutBeneath {...props} />
      </Section>
      <Section title="Direction of rows">
        <DirectionFields {...props} />
      </Section>
      <EdgeOfFill {...props} />
    </>
  ),
  calledAlso: () => "",
};

/** Thread on thread gets stiff: filled areas beneath may leave out what this one hides. */
function CutBeneath({ projectId, element }: ElementProps<Made<"filled">>) {
  const edits = useEdits(projectId);
  return (
    <Button onClick={() => void edits.edit({ edit: "cutAwayBeneath", elementId: element.id })}>
      <Layers2 size={16} aria-hidden />
      Cut away what lies beneath
    </Button>
  );
}

function EdgeOfFill({ projectId, scene, element }: ElementProps<Made<"filled">>) {
  const { change } = useFilled(projectId, element);
  const { set } = element.making;
  return (
    <EdgeSection
      scene={scene}
      edge={set.edge}
      threadId={set.threadId}
      what="fill"
      onChanged={(edge) => change({ edge })}
    />
  );
}
