import { useEdits } from "../../../../../api/edits";
import type { Stretch } from "../../../../../api/client";
import { Choice } from "../../../../../parts/fields/Choice";
import { NumberField } from "../../../../../parts/fields/NumberField";
import { ThreadSwatch } from "../../../../../parts/Swatch";
import type { ClothProps } from "../../../card/elementProps";

interface Props extends ClothProps {
  stretch: Stretch;
}

/** Cover numbers and thread that one stretch of edge has of its own. */
export function StretchCover({ projectId, scene, element, stretch }: Props) {
  const edits = useEdits(projectId);
  const own = stretch.cover;
  const { cover, stages } = element.making;
  const thread = own?.threadId ?? stages.cover.threadId ?? scene.hooping.coverThreadId;
  const take = (part: { width?: number | null; insideShare?: number | null; threadId?: string | null }) =>
    edits.edit({
      edit: "setCoverStretch",
      elementId: element.id,
      x: stretch.x,
      y: stretch.y,
      width: own?.width,
      spacing: own?.spacing,
      insideShare: own?.insideShare,
      threadId: own?.threadId,
      ...part,
    });
  return (
    <div className="grid w-full grid-cols-2 gap-1.5 pb-1">
      <NumberField
        label="Width here"
        value={own?.width ?? cover.width}
        unit="mm"
        onTyped={(width) => take({ width })}
      />
      <NumberField
        label="Inside share here"
        value={Math.round((own?.insideShare ?? cover.insideShare) * 100)}
        unit="%"
        digits={0}
        onTyped={(share) => take({ insideShare: share / 100 })}
      />
      <Choice
        label="Thread here"
        className="col-span-2"
        value={own?.threadId ?? ""}
        mark={<ThreadSwatch colour={scene.threads.find(({ id }) => id === thread)?.colour ?? "#ffffff"} />}
        options={[
          { value: "", label: "the cover’s" },
          ...scene.threads.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChosen={(id) => take({ threadId: id || null })}
      />
      {own ? (
        <button
          type="button"
          className="col-span-2 text-left text-[13px] text-indigo hover:underline"
          onClick={() =>
            edits.edit({ edit: "setCoverStretch", elementId: element.id, x: stretch.x, y: stretch.y })
          }
        >
          As the rest of the cover
        </button>
      ) : null}
    </div>
  );
}
