import { Section } from "../../../../parts/Section";
import { ClothSwatch } from "../../../../parts/Swatch";
import type { WallMaking } from "../module";
import { CutFacts } from "../cloth/CutFacts";
import { BorderFacts } from "./BorderFacts";
import { ClothField } from "../ClothField";

/** Only cut shapes, and no stitch. */
export const cutOnly: WallMaking<"cutOnly"> = {
  Icon: ({ scene, element }) => (
    <ClothSwatch cloth={scene.cloths.find(({ id }) => id === element.making.clothId)} />
  ),
  Card: (props) => (
    <>
      <Section title="Cloth">
        <ClothField {...props} clothId={props.element.making.clothId} />
      </Section>
      <Section title="Cut">
        <CutFacts {...props} />
        {props.element.making.border ? <BorderFacts border={props.element.making.border} /> : null}
      </Section>
    </>
  ),
  calledAlso: () => "cut only",
};
