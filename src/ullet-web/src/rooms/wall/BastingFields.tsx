import { useEdits } from "../../api/edits";
import { isLaid, type BastingElement } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { NumberField } from "../../parts/NumberField";
import { ThreadSwatch } from "../../parts/Swatch";
import type { ElementProps } from "./elementProps";

/** How basting is sewn, and whose cloth it holds. */
export function BastingFields({ projectId, scene, element }: ElementProps<BastingElement>) {
  const edits = useEdits(projectId);
  const { basting } = element;
  const change = (part: Partial<BastingElement["basting"]>) =>
    void edits.edit({ edit: "setBasting", elementId: element.id, ...basting, ...part });
  const usual = scene.threads.find((thread) => thread.id === scene.hooping.lineThreadId);
  const thread = scene.threads.find((known) => known.id === basting.threadId) ?? usual;
  return (
    <>
      <Choice
        label="Holds"
        value={basting.holdsId ?? ""}
        options={[
          { value: "", label: "what is hooped, and all on it" },
          ...scene.elements.filter(isLaid).map((each) => ({ value: each.id, label: each.name })),
        ]}
        onChosen={(id) => change({ holdsId: id || null })}
      />
      <div className="grid grid-cols-[1fr_104px] gap-1.5">
        <Choice
          label="Thread"
          value={basting.threadId ?? ""}
          mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
          options={[
            { value: "", label: `as lines (${usual?.name ?? "none"})` },
            ...scene.threads.map((known) => ({ value: known.id, label: known.name })),
          ]}
          onChosen={(id) => change({ threadId: id || null })}
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
