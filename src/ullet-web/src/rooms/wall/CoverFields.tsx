import { RotateCcw } from "lucide-react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { CoverKind, CoverSettings, Edit } from "../../api/client";
import { Button } from "../../parts/Button";
import { BandFields } from "./cover/BandFields";
import { LineCoverFields } from "./cover/LineCoverFields";
import { MotifFields } from "./cover/MotifFields";
import { UnderlayFields } from "./cover/UnderlayFields";
import type { ClothProps } from "./elementProps";

/** What was set by hand over the presets of method and cloth. */
const NUMBERS = [
  "width",
  "spacing",
  "insideShare",
  "compensation",
  "unitLength",
  "inset",
  "passes",
  "underlay",
] as const;

/** Which cover, and its numbers; slid numbers are drawn while they move. */
export function CoverFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue().data;
  const set = element.cloth.stages.cover;
  const { kind } = element.cloth.cover;
  if (!catalogue) return null;
  if (set.off)
    return <p className="text-[14px] text-muted">The cover is switched off; switch it on under Stages.</p>;

  const only = catalogue.methods.find((method) => method.id === element.cloth.method)?.onlyCover;
  const changed = (part: Partial<CoverSettings>): Edit => ({
    edit: "setCover",
    elementId: element.id,
    cover: { ...set, ...part },
  });
  const take = (part: Partial<CoverSettings>) => void edits.edit(changed(part));
  const slide = (part: Partial<CoverSettings>) => void edits.preview(changed(part));
  const fields = { catalogue, cover: element.cloth.cover, set, unit: scene.unit, take, slide };
  const choose = (next: CoverKind) =>
    void edits.edit({ edit: "setCoverKind", elementId: element.id, kind: next });
  return (
    <>
      {only ? null : (
        <div role="radiogroup" aria-label="Kind of cover" className="grid grid-cols-3 gap-1">
          {catalogue.covers.map((cover) => (
            <button
              key={cover.id}
              type="button"
              role="radio"
              aria-checked={cover.id === kind}
              className="rounded-[6px] border border-line px-1 py-1 text-[13px] hover:bg-chalk aria-checked:border-indigo aria-checked:bg-indigo aria-checked:text-white"
              onClick={() => choose(cover.id)}
            >
              {cover.name}
            </button>
          ))}
        </div>
      )}
      <p className="text-[13px] text-muted">
        {catalogue.covers.find((cover) => cover.id === kind)?.summary}
        {only ? " The method has no other." : ""}
      </p>
      {kind === "bean" || kind === "rawEdge" ? (
        <LineCoverFields {...fields} />
      ) : (
        <>
          {kind === "motif" ? <MotifFields {...fields} /> : null}
          <BandFields {...fields} />
          {kind === "satin" || kind === "zigzag" ? <UnderlayFields {...fields} /> : null}
        </>
      )}
      {NUMBERS.some((name) => set[name] != null) ? (
        <Button
          look="quiet"
          className="text-indigo"
          onClick={() => take(Object.fromEntries(NUMBERS.map((name) => [name, null])))}
        >
          <RotateCcw size={15} aria-hidden />
          As first set
        </Button>
      ) : null}
    </>
  );
}
