import { Section } from "../../../../parts/Section";
import type { WallMaking } from "../module";
import { ZoneFields } from "./ZoneFields";

/** A region that is never sewn. */
export const zone: WallMaking<"zone"> = {
  Icon: () => (
    <span className="size-4.5 shrink-0 rounded-[5px] border-2 border-dotted border-madder" aria-hidden />
  ),
  Card: (props) => (
    <Section title="Zone">
      <ZoneFields {...props} />
    </Section>
  ),
  calledAlso: () => "",
};
