import { Section } from "../../../../parts/Section";
import type { WallForm } from "../module";
import { LetterFields } from "./LetterFields";
import { WordsFields } from "./WordsFields";

/** Live text. */
export const words: WallForm<"words"> = {
  Above: (props) => (
    <>
      <Section title="Words">
        <WordsFields {...props} />
      </Section>
      <Section
        title="Letters"
        brief={lettersBrief(props.element.form.letters.filter((letter) => letter.isTouched).length)}
        startsOpen={false}
      >
        <LetterFields {...props} />
      </Section>
    </>
  ),
  frozen: "Letters have no nodes of their own. Turned into nodes they can’t be retyped any more.",
};

function lettersBrief(touched: number): string {
  return touched === 0 ? "spacing, slant, arc" : touched === 1 ? "one touched" : `${touched} touched`;
}
