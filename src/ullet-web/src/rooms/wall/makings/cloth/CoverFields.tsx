import { RotateCcw } from "lucide-react";
import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import type { CoverKind, CoverSettings, Edit, Scene } from "../../../../api/client";
import { Button } from "../../../../parts/Button";
import { Segments } from "../../../../parts/fields/Segments";
import type { CoverProps } from "./cover/coverProps";
import { BandFields } from "./cover/BandFields";
import { LineCoverFields } from "./cover/LineCoverFields";
import { MotifFields } from "./cover/MotifFields";
import { UnderlayFields } from "./cover/UnderlayFields";
import type { ClothProps } from "../../card/elementProps";
import { newest } from "../../card/newest";

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
  const set = element.making.stages.cover;
  const { kind } = element.making.cover;
  if (!catalogue) return null;
  if (set.off)
    return <p className="text-[14px] text-muted">The cover is switched off; switch it on under Stages.</p>;

  const only = catalogue.methods.find((method) => method.id === element.making.method)?.onlyCover;
  const changed =
    (part: Partial<CoverSettings>) =>
    (now: Scene): Edit => ({
      edit: "setCover",
      elementId: element.id,
      cover: { ...newest(now, element).making.stages.cover, ...part },
    });
  const take: CoverProps["take"] = (part) =>
    edits.edit((now) =>
      changed(typeof part === "function" ? part(newest(now, element).making.cover) : part)(now),
    );
  const slide = (part: Partial<CoverSettings>) => void edits.preview(changed(part));
  const fields = { catalogue, cover: element.making.cover, set, unit: scene.unit, take, slide };
  const choose = (next: CoverKind) => edits.edit({ edit: "setCoverKind", elementId: element.id, kind: next });
  return (
    <>
      {only ? null : (
        <Segments
          label="Kind of cover"
          value={kind}
          options={catalogue.covers.map(({ id, name }) => ({ value: id as CoverKind, label: name }))}
          onChosen={choose}
        />
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
