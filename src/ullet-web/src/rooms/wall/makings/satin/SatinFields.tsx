import type { Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { SlideField } from "../../../../parts/fields/SlideField";
import { perLength, useStitchUnit } from "../../../../state/units";
import type { ElementProps } from "../../card/elementProps";
import { CompensationField } from "../CompensationField";
import { ThreadChoice } from "../ThreadChoice";
import { UnderlayTicks } from "../UnderlayTicks";
import { useSatin } from "./useSatin";

/** Thread, spacing, compensation and underlay of satin. */
export function SatinFields({ projectId, scene, element }: ElementProps<Made<"satin">>) {
  const catalogue = useCatalogue().data;
  const { change, slide } = useSatin(projectId, element);
  const { set, spacing, compensation, said, underlay } = element.making;
  const unit = useStitchUnit();
  if (!catalogue) return null;
  const usual = scene.threads.find((thread) => thread.id === scene.hooping.coverThreadId);
  return (
    <>
      <ThreadChoice
        label="Thread"
        threads={scene.threads}
        value={set.threadId}
        usual={usual}
        whose="the project’s"
        onChosen={(threadId) => change({ threadId })}
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
        hint={perLength(spacing, unit, "strokes")}
        onSlide={(next) => slide({ spacing: next })}
        onTaken={(next) => change({ spacing: next })}
      />
      <CompensationField
        value={compensation}
        where="on each side"
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
