import { Section } from "../../../../parts/Section";
import { HoleFields, holesBrief } from "../HoleFields";
import type { WallForm } from "../module";
import { FormChoice } from "./FormChoice";
import { ShapeFields } from "./ShapeFields";

/** A generator with its numbers. */
export const shape: WallForm<"shape"> = {
  Below: (props) => (
    <Section title="Form" startsOpen={false} brief={holesBrief(props.element.form.holeCount)}>
      <FormChoice {...props} />
      <ShapeFields {...props} />
      <HoleFields {...props} />
    </Section>
  ),
  frozen:
    "This form is made by numbers. Turned into nodes it has none any more, but every node can be moved.",
};
