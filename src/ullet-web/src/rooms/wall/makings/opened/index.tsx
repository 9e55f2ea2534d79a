import { Section } from "../../../../parts/Section";
import type { WallMaking } from "../module";
import { SewnIcon } from "../SewnIcon";
import { OpenedApart } from "./OpenedApart";
import { OpenedFields } from "./OpenedFields";
import { OpenedOutline } from "./OpenedOutline";

/** Stitches of a file, sewn as they stand there. */
export const opened: WallMaking<"opened"> = {
  Icon: SewnIcon,
  Card: (props) => (
    <>
      <Section title="Stitches of a file">
        <OpenedFields {...props} />
      </Section>
      <Section title="Take apart">
        <OpenedApart {...props} />
      </Section>
      <Section title="Make of them">
        <OpenedOutline {...props} />
      </Section>
    </>
  ),
  calledAlso: (element) =>
    element.making.isResting
      ? "kept, not sewn"
      : element.name.endsWith(element.making.words)
        ? ""
        : `${element.making.words}${element.making.isUnsure ? ", perhaps" : ""}`,
};
