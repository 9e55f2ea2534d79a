import { Choice } from "../../../parts/Choice";
import { SlideField } from "../../../parts/SlideField";
import type { CoverProps } from "./coverProps";

/** A threefold line inside the edge: how far inside, how long its stitches are, how often it is sewn. */
export function LineCoverFields({ catalogue, cover, take, slide }: CoverProps) {
  return (
    <>
      <SlideField
        label="Inside the edge"
        value={cover.inset}
        least={catalogue.beanInset.least}
        most={catalogue.beanInset.most}
        step={0.1}
        unit="mm"
        digits={1}
        ends={["nearer", "farther in"]}
        onSlide={(value) => slide({ inset: value })}
        onTaken={(value) => take({ inset: value })}
      />
      <SlideField
        label="Stitch length"
        value={cover.unitLength}
        least={catalogue.unitLength.least}
        most={6}
        step={0.1}
        unit="mm"
        digits={1}
        ends={["shorter", "longer"]}
        onSlide={(value) => slide({ unitLength: value })}
        onTaken={(value) => take({ unitLength: value })}
      />
      <Choice
        label="Sewn over"
        value={String(cover.passes)}
        options={[
          { value: "3", label: "three times" },
          { value: "5", label: "five times" },
        ]}
        onChosen={(passes) => take({ passes: Number(passes) })}
      />
    </>
  );
}
