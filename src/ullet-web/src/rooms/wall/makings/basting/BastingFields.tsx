import { useEdits } from "../../../../api/edits";
import { isMade, type Made } from "../../../../api/elements";
import { Choice } from "../../../../parts/fields/Choice";
import { NumberField } from "../../../../parts/fields/NumberField";
import type { ElementProps } from "../../card/elementProps";
import { ThreadChoice } from "../ThreadChoice";
import { newest } from "../../card/newest";

/** How basting is sewn, and whose cloth it holds. */
export function BastingFields({ projectId, scene, element }: ElementProps<Made<"basting">>) {
  const edits = useEdits(projectId);
  const { making: basting } = element;
  const change = (part: Partial<Pick<typeof basting, "stitchLength" | "threadId" | "holdsId">>) =>
    edits.edit((now) => {
      const { stitchLength, threadId, holdsId } = newest(now, element).making;
      return { edit: "setBasting", elementId: element.id, stitchLength, threadId, holdsId, ...part };
    });
  const usual = scene.threads.find((thread) => thread.id === scene.hooping.lineThreadId);
  return (
    <>
      <Choice
        label="Holds"
        value={basting.holdsId ?? ""}
        options={[
          { value: "", label: "what is hooped, and all on it" },
          ...scene.elements
            .filter((each) => isMade(each, "cloth"))
            .map((each) => ({ value: each.id, label: each.name })),
        ]}
        onChosen={(id) => change({ holdsId: id || null })}
      />
      <div className="grid grid-cols-[1fr_104px] gap-1.5">
        <ThreadChoice
          label="Thread"
          threads={scene.threads}
          value={basting.threadId}
          usual={usual}
          whose="as lines"
          onChosen={(threadId) => change({ threadId })}
        />
        <NumberField
          label="Stitch length"
          value={basting.stitchLength}
          unit="mm"
          onTyped={(stitchLength) => change({ stitchLength })}
        />
      </div>
      <p className="text-[13px] text-muted">
        Sewn once the cloth that it holds lies; the run sheet says when it comes out.
      </p>
    </>
  );
}
