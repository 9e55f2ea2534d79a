import { Section } from "../../../../parts/Section";
import type { WallMaking } from "../module";
import { SewnIcon } from "../SewnIcon";
import { BastingFields } from "./BastingFields";

/** Long stitches that come out again. */
export const basting: WallMaking<"basting"> = {
  Icon: SewnIcon,
  Card: (props) => (
    <Section title="Basting">
      <BastingFields {...props} />
    </Section>
  ),
  calledAlso: () => "",
};
