import { SlideField } from "../../../parts/SlideField";
import type { CoverProps } from "./coverProps";

/** Width, spacing, inside share and compensation of a cover that lies across the edge. */
export function BandFields({ catalogue, cover, take, slide, set }: CoverProps) {
  const { kind, width, spacing, insideShare, compensation, unitLength } = cover;
  const isDense = kind === "satin";
  const range = isDense ? catalogue.coverSpacing : catalogue.openSpacing;
  return (
    <>
      <SlideField
        label={kind === "blanket" ? "Teeth" : "Cover width"}
        value={width}
        least={catalogue.coverWidth.least}
        most={catalogue.coverWidth.most}
        step={0.1}
        unit="mm"
        digits={1}
        ends={["narrower", "wider"]}
        hint={
          kind === "blanket"
            ? `bites ${(width * insideShare).toFixed(1)} mm, spine ${(width * (1 - insideShare)).toFixed(1)} mm outside`
            : undefined
        }
        onSlide={(value) => slide({ width: value })}
        onTaken={(value) => take({ width: value })}
      />
      {isDense || kind === "zigzag" ? (
        <SlideField
          label="Spacing"
          value={spacing}
          least={range.least}
          most={isDense ? range.most : 3}
          step={isDense ? 0.01 : 0.05}
          unit="mm"
          digits={2}
          ends={["denser", "looser"]}
          hint={`${(10 / spacing).toFixed(0)} strokes to the cm`}
          onSlide={(value) => slide({ spacing: value })}
          onTaken={(value) => take({ spacing: value })}
        />
      ) : (
        <SlideField
          label={kind === "blanket" ? "Between teeth" : "Unit length"}
          value={unitLength}
          least={catalogue.unitLength.least}
          most={12}
          step={0.1}
          unit="mm"
          digits={1}
          ends={["closer", "wider apart"]}
          hint="fitted so that a whole number fills each side"
          onSlide={(value) => slide({ unitLength: value })}
          onTaken={(value) => take({ unitLength: value })}
        />
      )}
      <SlideField
        label="Inside share"
        value={Math.round(insideShare * 100)}
        least={catalogue.coverInsideShare.least * 100}
        most={catalogue.coverInsideShare.most * 100}
        step={1}
        unit="%"
        digits={0}
        ends={["outside", "inside"]}
        onSlide={(value) => slide({ insideShare: value / 100 })}
        onTaken={(value) => take({ insideShare: value / 100 })}
      />
      {isDense || kind === "zigzag" ? (
        <SlideField
          label="Compensation"
          value={compensation}
          least={catalogue.compensation.least}
          most={catalogue.compensation.most}
          step={0.05}
          unit="mm"
          digits={2}
          ends={["less", "more"]}
          hint="added on each side, because thread draws the edges in"
          onSlide={(value) => slide({ compensation: value })}
          onTaken={(value) => take({ compensation: value })}
        />
      ) : (
        <label className="flex items-center gap-2 text-[14px]">
          <input
            type="checkbox"
            className="size-4 accent-indigo"
            checked={set.isMirrored ?? false}
            onChange={(event) => take({ isMirrored: event.target.checked })}
          />
          {kind === "blanket" ? "Mirror: teeth face outwards" : "Mirror: outer side turned inwards"}
        </label>
      )}
    </>
  );
}
