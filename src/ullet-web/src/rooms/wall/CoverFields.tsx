import { RotateCcw } from "lucide-react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { CoverSettings, Edit } from "../../api/client";
import { Button } from "../../parts/Button";
import { SlideField } from "../../parts/SlideField";
import type { ClothProps } from "./elementProps";

/** Width, spacing and inside share of the cover, drawn while they slide. */
export function CoverFields({ projectId, element }: ClothProps) {
  const edits = useEdits(projectId);
  const ranges = useCatalogue().data;
  const set = element.cloth.stages.cover;
  const { width, spacing, insideShare } = element.cloth.satin;
  if (!ranges) return null;
  if (set.off)
    return <p className="text-[14px] text-muted">The cover is switched off; switch it on under Stages.</p>;

  const changed = (part: Partial<CoverSettings>): Edit => ({
    edit: "setCover",
    elementId: element.id,
    cover: { ...set, ...part },
  });
  const own = set.width != null || set.spacing != null || set.insideShare != null;
  return (
    <>
      <SlideField
        label="Cover width"
        value={width}
        least={ranges.coverWidth.least}
        most={ranges.coverWidth.most}
        step={0.1}
        unit="mm"
        digits={1}
        ends={["narrower", "wider"]}
        onSlide={(value) => void edits.preview(changed({ width: value }))}
        onTaken={(value) => void edits.edit(changed({ width: value }))}
      />
      <SlideField
        label="Spacing"
        value={spacing}
        least={ranges.coverSpacing.least}
        most={ranges.coverSpacing.most}
        step={0.01}
        unit="mm"
        digits={2}
        ends={["denser", "looser"]}
        hint={`${(10 / spacing).toFixed(0)} strokes to the cm`}
        onSlide={(value) => void edits.preview(changed({ spacing: value }))}
        onTaken={(value) => void edits.edit(changed({ spacing: value }))}
      />
      <SlideField
        label="Inside share"
        value={Math.round(insideShare * 100)}
        least={ranges.coverInsideShare.least * 100}
        most={ranges.coverInsideShare.most * 100}
        step={1}
        unit="%"
        digits={0}
        ends={["outside", "inside"]}
        onSlide={(value) => void edits.preview(changed({ insideShare: value / 100 }))}
        onTaken={(value) => void edits.edit(changed({ insideShare: value / 100 }))}
      />
      {own ? (
        <Button
          look="quiet"
          className="text-indigo"
          onClick={() => void edits.edit(changed({ width: null, spacing: null, insideShare: null }))}
        >
          <RotateCcw size={15} aria-hidden />
          As first set
        </Button>
      ) : null}
    </>
  );
}
