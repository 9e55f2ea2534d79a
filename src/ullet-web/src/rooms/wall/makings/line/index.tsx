import { Section } from "../../../../parts/Section";
import type { WallMaking } from "../module";
import { SewnIcon } from "../SewnIcon";
import { LineFields } from "./LineFields";

/** A line that is sewn as it is. */
export const line: WallMaking<"line"> = {
  Icon: SewnIcon,
  Card: (props) => (
    <Section title="Stitching">
      <LineFields {...props} />
    </Section>
  ),
  calledAlso: (element) => element.making.purpose ?? "",
};
