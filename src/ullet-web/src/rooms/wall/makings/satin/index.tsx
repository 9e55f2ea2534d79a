import { Section } from "../../../../parts/Section";
import type { WallMaking } from "../module";
import { SewnIcon } from "../SewnIcon";
import { BandFields } from "./BandFields";
import { LetterSewingFields } from "./LetterSewingFields";
import { SatinEdgeFields } from "./SatinEdgeFields";
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
      <Section
        title="Edge"
        startsOpen={props.element.making.set.edge != null}
        brief={props.element.making.set.edge ? "along its outline" : "none"}
      >
        <SatinEdgeFields {...props} />
      </Section>
      {props.element.form.kind === "words" ? (
        <Section title="Letters in order" startsOpen={false} brief="where it begins, what is joined">
          <LetterSewingFields {...props} />
        </Section>
      ) : null}
    </>
  ),
  calledAlso: () => "",
};
