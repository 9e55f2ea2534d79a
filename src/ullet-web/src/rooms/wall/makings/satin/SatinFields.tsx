import type { Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Choice } from "../../../../parts/fields/Choice";
import { SlideField } from "../../../../parts/fields/SlideField";
import { ThreadSwatch } from "../../../../parts/Swatch";
import type { ElementProps } from "../../card/elementProps";
import { UnderlayTicks } from "../UnderlayTicks";
import { useSatin } from "./useSatin";

/** Thread, spacing, compensation and underlay of satin. */
export function SatinFields({ projectId, scene, element }: ElementProps<Made<"satin">>) {
  const catalogue = useCatalogue().data;
  const { change, slide } = useSatin(projectId, element);
  const { set, spacing, compensation, said, underlay } = element.making;
  if (!catalogue) return null;
  const usual = scene.threads.find((thread) => thread.id === scene.hooping.coverThreadId);
  const thread = scene.threads.find((known) => known.id === set.threadId) ?? usual;
  return (
    <>
      <Choice
        label="Thread"
        value={set.threadId ?? ""}
        mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
        options={[
          { value: "", label: `the project’s (${usual?.name ?? "none"})` },
          ...scene.threads.map((known) => ({ value: known.id, label: known.name })),
        ]}
        onChosen={(id) => change({ threadId: id || null })}
      />
      {said ? <p className="text-[13px] text-muted">{said}</p> : null}
      <SlideField
        label="Spacing"
        value={spacing}
        least={catalogue.coverSpacing.least}
        most={catalogue.coverSpacing.most}
        step={0.01}
        unit="mm"
        digits={2}
        ends={["denser", "looser"]}
        hint={`${(10 / spacing).toFixed(0)} strokes to the cm`}
        onSlide={(next) => slide({ spacing: next })}
        onTaken={(next) => change({ spacing: next })}
      />
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
        onSlide={(next) => slide({ compensation: next })}
        onTaken={(next) => change({ compensation: next })}
      />
      <UnderlayTicks
        holds={underlay}
        isSet={Boolean(set.underlay)}
        unset=", by each column’s width"
        onTicked={(part) => change({ underlay: { ...underlay, ...part } })}
        onUnset={() => change({ underlay: null })}
      />
    </>
  );
}
