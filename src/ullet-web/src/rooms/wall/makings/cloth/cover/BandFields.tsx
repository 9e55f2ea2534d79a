import { perLength, stitchText, useStitchUnit } from "../../../../../state/units";
import { CoverSlide } from "./CoverSlide";
import type { CoverProps } from "./coverProps";
import { Tick } from "../../../../../parts/fields/Tick";

/** Width, spacing, inside share and compensation of a cover that lies across the edge. */
export function BandFields({ catalogue, cover, take, slide, set }: CoverProps) {
  const { kind, spacing } = cover;
  const unit = useStitchUnit();
  const on = { cover, take, slide };
  const isDense = kind === "satin";
  const isStrokes = isDense || kind === "zigzag";
  return (
    <>
      <CoverSlide
        {...on}
        name="width"
        label={kind === "blanket" ? "Teeth" : "Cover width"}
        range={catalogue.coverWidth}
        step={0.1}
        ends={["narrower", "wider"]}
        hint={
          kind === "blanket"
            ? `bites ${stitchText(cover.inside, unit)}, spine ${stitchText(cover.outside, unit)} outside`
            : undefined
        }
      />
      {isStrokes ? (
        <CoverSlide
          {...on}
          name="spacing"
          label="Spacing"
          range={isDense ? catalogue.coverSpacing : catalogue.openSpacing}
          most={isDense ? undefined : 3}
          step={isDense ? 0.01 : 0.05}
          digits={2}
          ends={["denser", "looser"]}
          hint={perLength(spacing, unit, "strokes")}
        />
      ) : (
        <CoverSlide
          {...on}
          name="unitLength"
          label={kind === "blanket" ? "Between teeth" : "Unit length"}
          range={catalogue.unitLength}
          most={12}
          step={0.1}
          ends={["closer", "wider apart"]}
          hint="fitted so that a whole number fills each side"
        />
      )}
      <CoverSlide
        {...on}
        name="insideShare"
        label="Inside share"
        range={catalogue.coverInsideShare}
        step={1}
        digits={0}
        ends={["outside", "inside"]}
        percent
      />
      {isStrokes ? (
        <CoverSlide
          {...on}
          name="compensation"
          label="Compensation"
          range={catalogue.compensation}
          step={0.05}
          digits={2}
          ends={["less", "more"]}
          hint="added on each side, because thread draws the edges in"
        />
      ) : (
        <Tick
          label={
            <>{kind === "blanket" ? "Mirror: teeth face outwards" : "Mirror: outer side turned inwards"}</>
          }
          checked={set.isMirrored ?? false}
          onChanged={(on) => take({ isMirrored: on })}
        />
      )}
    </>
  );
}
