import { useEdits } from "../../../../api/edits";
import type { LineSettings } from "../../../../api/client";
import { isFormed, type Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { MotifChoice } from "../MotifChoice";
import { ThreadChoice } from "../ThreadChoice";
import { Choice } from "../../../../parts/fields/Choice";
import { NumberField } from "../../../../parts/fields/NumberField";
import { Tick } from "../../../../parts/fields/Tick";
import type { ElementProps } from "../../card/elementProps";
import { newest } from "../../card/newest";

/** Stitch, thread and length of what is sewn without cloth. */
export function LineFields({ projectId, scene, element }: ElementProps<Made<"line">>) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue().data;
  const { stitching } = element.making;
  const kind = stitching.kind ?? "run";
  const stitch = catalogue?.lines.find((row) => row.kind === kind);
  const motif = catalogue?.motifs.find((known) => known.id === stitching.motifId) ?? catalogue?.motifs[0];
  const usual = (kind === "motif" ? motif?.length : stitch?.usualLength) ?? 0;
  const change = (part: Partial<LineSettings>) =>
    edits.edit((now) => {
      const line = { ...newest(now, element).making.stitching, ...part };
      return isFormed(element, "words")
        ? { edit: "setLettering", elementId: element.id, line }
        : { edit: "setLine", elementId: element.id, line };
    });
  const project = scene.threads.find(
    (thread) =>
      thread.id === (element.making.purpose ? scene.hooping.lineThreadId : scene.hooping.coverThreadId),
  );
  return (
    <>
      <div className="grid grid-cols-[1fr_104px] gap-1.5">
        <Choice
          label="Stitch"
          value={kind}
          options={(catalogue?.lines ?? []).map((row) => ({ value: row.kind, label: row.name }))}
          onChosen={(chosen) =>
            change({ kind: chosen as LineSettings["kind"], stitchLength: null, width: null })
          }
        />
        <NumberField
          label={kind === "motif" || kind === "blanket" ? "Each one" : "Stitch length"}
          value={stitching.stitchLength ?? usual}
          unit="mm"
          onTyped={(stitchLength) => change({ stitchLength })}
        />
      </div>
      {catalogue && kind === "motif" ? (
        <MotifChoice
          motifs={catalogue.motifs}
          value={motif?.id ?? ""}
          onChosen={(motifId) => change({ motifId, stitchLength: null })}
        />
      ) : null}
      {stitch && stitch.usualWidth > 0 ? (
        <div className="grid grid-cols-[104px_1fr] items-end gap-1.5">
          <NumberField
            label="Width"
            value={stitching.width ?? stitch.usualWidth}
            unit="mm"
            onTyped={(width) => change({ width })}
          />
          {kind === "zigzag" ? null : (
            <Tick
              label="on the other side"
              checked={stitching.isMirrored ?? false}
              className="pb-1.5 text-[14px]"
              onChanged={(isMirrored) => change({ isMirrored })}
            />
          )}
        </div>
      ) : null}
      <Choice
        label="Sewn"
        value={String(stitching.passes ?? 1)}
        options={[
          { value: "1", label: "once" },
          { value: "2", label: "twice, to hold down" },
          { value: "3", label: "three times" },
        ]}
        onChosen={(passes) => change({ passes: Number(passes) })}
      />
      <ThreadChoice
        label="Thread"
        threads={scene.threads}
        value={stitching.threadId}
        usual={project}
        whose="the project’s"
        onChosen={(threadId) => change({ threadId })}
      />
    </>
  );
}
