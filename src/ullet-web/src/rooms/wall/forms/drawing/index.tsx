import { Section } from "../../../../parts/Section";
import { HoleFields, holesBrief } from "../HoleFields";
import type { WallForm } from "../module";
import { FormChoice } from "../shape/FormChoice";

/** Lines with nodes. */
export const drawing: WallForm<"drawing"> = {
  Below: (props) =>
    props.element.followsLines ? null : (
      <Section title="Form" startsOpen={false} brief={holesBrief(props.element.form.holeCount)}>
        <FormChoice {...props} />
        <HoleFields {...props} />
      </Section>
    ),
  frozen: "",
};
