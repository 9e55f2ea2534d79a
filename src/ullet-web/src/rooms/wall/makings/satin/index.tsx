import { Section } from "../../../../parts/Section";
import type { Made } from "../../../../api/elements";
import type { ElementProps } from "../../card/elementProps";
import type { WallMaking } from "../module";
import { EdgeSection } from "../EdgeFields";
import { SewnIcon } from "../SewnIcon";
import { BandFields } from "./BandFields";
import { LetterSewingFields } from "./LetterSewingFields";
import { useSatin } from "./useSatin";
import { SatinFields } from "./SatinFields";
import { StrokeFacts } from "./StrokeFacts";

/** Strokes from side to side. */
export const satin: WallMaking<"satin"> = {
  Icon: SewnIcon,
  Card: (props) => (
    <>
      <Section title="Satin">
        <SatinFields {...props} />
        <BandFields {...props} />
        <StrokeFacts {...props} />
      </Section>
      <EdgeOfSatin {...props} />
      {props.element.form.kind === "words" ? (
        <Section title="Letters in order" startsOpen={false} brief="where it begins, what is joined">
          <LetterSewingFields {...props} />
        </Section>
      ) : null}
    </>
  ),
  calledAlso: () => "",
};

function EdgeOfSatin({ projectId, scene, element }: ElementProps<Made<"satin">>) {
  const { change } = useSatin(projectId, element);
  const { set } = element.making;
  return (
    <EdgeSection
      scene={scene}
      edge={set.edge}
      threadId={set.threadId}
      what="satin"
      onChanged={(edge) => change({ edge })}
    />
  );
}
