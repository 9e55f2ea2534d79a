import type { Unit } from "../../../../api/client";
import { isFormed } from "../../../../api/elements";
import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import { Button } from "../../../../parts/Button";
import { Section } from "../../../../parts/Section";
import { ClothSwatch } from "../../../../parts/Swatch";
import type { ClothProps } from "../../card/elementProps";
import { stitchText, useStitchUnit } from "../../../../state/units";
import type { WallMaking } from "../module";
import { ClothAndMethod } from "./ClothAndMethod";
import { CoverFields } from "./CoverFields";
import { CutFacts } from "./CutFacts";
import { EdgeFields } from "./EdgeFields";
import { EdgeMatchFields } from "./EdgeMatchFields";
import { StageFields } from "./StageFields";

/** Cloth with its method, its stages and its cut shape. */
export const cloth: WallMaking<"cloth"> = {
  Icon: ({ scene, element }) => (
    <ClothSwatch cloth={scene.cloths.find(({ id }) => id === element.making.clothId)} />
  ),
  Card,
  Further,
  calledAlso: () => "",
};

function Card(props: ClothProps) {
  const unit = useStitchUnit();
  return (
    <>
      <Section title="Cloth & method">
        <ClothAndMethod {...props} />
      </Section>
      <Section title="Cover" startsOpen={!isFormed(props.element, "words")} brief={coverBrief(props, unit)}>
        <CoverFields {...props} />
      </Section>
      <Section title="Edge match" startsOpen={false} brief="chart and mends">
        <EdgeMatchFields {...props} />
      </Section>
    </>
  );
}

function Further(props: ClothProps) {
  const { projectId, element } = props;
  const edits = useEdits(projectId);
  const methods = useCatalogue().data?.methods;
  return (
    <>
      <Section title="Stages" startsOpen={false} brief="on or off, threads, numbers">
        <StageFields {...props} />
        <Button onClick={() => edits.edit({ edit: "addBasting", elementId: element.id })}>
          Baste round it
        </Button>
      </Section>
      <Section
        title="Edge"
        startsOpen={false}
        brief={element.making.paths.covered ? "partly under" : "all visible"}
      >
        <EdgeFields {...props} />
      </Section>
      <Section
        title="Cut"
        startsOpen={false}
        brief={methods?.find((method) => method.id === element.making.method)?.cutWords}
      >
        <CutFacts {...props} />
      </Section>
    </>
  );
}

function coverBrief({ element }: ClothProps, unit: Unit): string {
  const { cover, stages } = element.making;
  if (stages.cover.off) return "off";
  return cover.kind === "bean" || cover.kind === "rawEdge"
    ? `${stitchText(cover.inset, unit)} inside`
    : `${stitchText(cover.width, unit)} wide`;
}
