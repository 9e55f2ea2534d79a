import { useEdits } from "../../../../api/edits";
import type { LineSettings } from "../../../../api/client";
import { isFormed, type Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Choice } from "../../../../parts/fields/Choice";
import { NumberField } from "../../../../parts/fields/NumberField";
import { ThreadSwatch } from "../../../../parts/Swatch";
import type { ElementProps } from "../../card/elementProps";
import { newest } from "../../card/newest";

/** Stitch, thread and length of what is sewn without cloth. */
export function LineFields({ projectId, scene, element }: ElementProps<Made<"line">>) {
  const edits = useEdits(projectId);
  const usual = useCatalogue().data?.runLength.usual ?? 0;
  const { stitching } = element.making;
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
  const thread = scene.threads.find((known) => known.id === stitching.threadId) ?? project;
  return (
    <>
      <div className="grid grid-cols-[1fr_104px] gap-1.5">
        <Choice
          label="Stitch"
          value={stitching.kind ?? "run"}
          options={[
            { value: "run", label: "running, once along" },
            { value: "bean", label: "bean, each stitch three times" },
            { value: "zigzag", label: "zigzag, 3 mm wide" },
          ]}
          onChosen={(kind) => change({ kind: kind as LineSettings["kind"] })}
        />
        <NumberField
          label="Stitch length"
          value={stitching.stitchLength ?? usual}
          unit="mm"
          onTyped={(stitchLength) => change({ stitchLength })}
        />
      </div>
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
      <Choice
        label="Thread"
        value={stitching.threadId ?? ""}
        mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
        options={[
          { value: "", label: `the project’s (${project?.name ?? "none"})` },
          ...scene.threads.map((known) => ({ value: known.id, label: known.name })),
        ]}
        onChosen={(id) => change({ threadId: id || null })}
      />
    </>
  );
}
