import { Choice } from "../../../../../parts/fields/Choice";
import { CoverSlide } from "./CoverSlide";
import type { CoverProps } from "./coverProps";

/** A threefold line inside the edge: how far inside, how long its stitches are, how often it is sewn. */
export function LineCoverFields({ catalogue, cover, take, slide }: CoverProps) {
  const on = { cover, take, slide };
  return (
    <>
      <CoverSlide
        {...on}
        name="inset"
        label="Inside the edge"
        range={catalogue.beanInset}
        step={0.1}
        ends={["nearer", "farther in"]}
      />
      <CoverSlide
        {...on}
        name="unitLength"
        label="Stitch length"
        range={catalogue.unitLength}
        most={6}
        step={0.1}
        ends={["shorter", "longer"]}
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
