import type { FilledMaking } from "../../../../api/client";
import type { Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Choice } from "../../../../parts/fields/Choice";
import { NumberField } from "../../../../parts/fields/NumberField";
import { SlideField } from "../../../../parts/fields/SlideField";
import { Tick } from "../../../../parts/fields/Tick";
import { perLength, useStitchUnit } from "../../../../state/units";
import { TextButton } from "../../../../parts/TextButton";
import { useView } from "../../../../state/view";
import type { ElementProps } from "../../card/elementProps";
import { CompensationField } from "../CompensationField";
import { ThreadChoice } from "../ThreadChoice";
import { useFilled } from "./useFilled";

/** Thread, pattern, direction and distance of rows. */
export function RowFields({ projectId, scene, element }: ElementProps<Made<"filled">>) {
  const catalogue = useCatalogue().data;
  const { change, slide } = useFilled(projectId, element);
  const { set, spacing, compensation, stitchLength, said } = element.making;
  const unit = useStitchUnit();
  if (!catalogue) return null;
  const usual = scene.threads.find((thread) => thread.id === scene.hooping.coverThreadId);
  const thread = scene.threads.find((known) => known.id === set.threadId) ?? usual;
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
      <Choice
        label="Goes softly over into"
        value={set.secondThreadId ?? ""}
        options={[
          { value: "", label: "no second thread" },
          ...scene.threads
            .filter((known) => known.id !== thread?.id)
            .map((known) => ({ value: known.id, label: known.name })),
        ]}
        onChosen={(id) => change({ secondThreadId: id || null })}
      />
      {said ? <p className="text-[13px] text-muted">{said}</p> : null}
      <Choice
        label="Row pattern"
        value={set.pattern ?? "fourRows"}
        options={catalogue.rowPatterns.map((row) => ({ value: row.id, label: `${row.name}: ${row.about}` }))}
        onChosen={(pattern) => change({ pattern: pattern as FilledMaking["pattern"] })}
      />
      <SlideField
        label="Rows apart"
        value={spacing}
        least={catalogue.fillSpacing.least}
        most={catalogue.fillSpacing.most}
        step={0.05}
        unit="mm"
        digits={2}
        ends={["denser", "looser"]}
        hint={perLength(spacing, unit, "rows")}
        onSlide={(next) => slide({ spacing: next })}
        onTaken={(next) => change({ spacing: next })}
      />
      <SlideField
        label="Stitch length"
        value={stitchLength}
        least={catalogue.fillStitch.least}
        most={catalogue.fillStitch.most}
        step={0.1}
        unit="mm"
        digits={1}
        ends={["shorter", "longer"]}
        hint="distance of holes along a row"
        onSlide={(next) => slide({ stitchLength: next })}
        onTaken={(next) => change({ stitchLength: next })}
      />
      <CompensationField
        value={compensation}
        where="at each end of a row"
        onSlide={(next) => slide({ compensation: next })}
        onTaken={(next) => change({ compensation: next })}
      />
    </>
  );
}

/** Which way rows run: an angle, an arc, or a line drawn by hand. */
export function DirectionFields({ projectId, element }: ElementProps<Made<"filled">>) {
  const { change, bend } = useFilled(projectId, element);
  const { set, guide, bent } = element.making;
  const tool = useView((view) => view.tool);
  const setTool = useView((view) => view.setTool);
  return (
    <>
      <div className="grid grid-cols-2 gap-1.5">
        <NumberField label="Angle" value={set.angle ?? 0} unit="°" onTyped={(angle) => change({ angle })} />
        <NumberField label="Bend" value={bent} digits={2} onTyped={bend} />
      </div>
      <Tick
        label="keep this direction when it is turned"
        checked={set.isAngleFixed ?? false}
        onChanged={(isAngleFixed) => change({ isAngleFixed })}
      />
      <div className="flex flex-wrap gap-x-3 text-[14px]">
        <TextButton onClick={() => setTool(tool === "direction" ? "select" : "direction")}>
          {tool === "direction" ? "Done with the line" : "Draw a line for the rows to follow"}
        </TextButton>
        {guide.length ? (
          <TextButton onClick={() => change({ guide: [] })}>Straight rows again</TextButton>
        ) : null}
      </div>
      {tool === "direction" ? (
        <p className="text-[13px] text-muted">Draw across the whole area: every row follows that line.</p>
      ) : null}
    </>
  );
}

/** What lies under rows: film that shines between them, underlay. */
export function UnderRows({ projectId, scene, element }: ElementProps<Made<"filled">>) {
  const { change, lay } = useFilled(projectId, element);
  const { set, underlay } = element.making;
  const films = scene.cloths.filter((cloth) => cloth.kind === "film");
  return (
    <>
      <Choice
        label="Film between the rows"
        value={set.filmClothId ?? ""}
        options={[
          { value: "", label: films.length ? "none" : "none (no film among the cloths yet)" },
          ...films.map((cloth) => ({ value: cloth.id, label: cloth.name })),
        ]}
        onChosen={(id) => lay(id || null)}
      />
      <fieldset>
        <legend className="text-[13px] text-muted">
          Underlay
          {set.underlay ? (
            <TextButton className="ml-2" onClick={() => change({ underlay: null })}>
              as usual again
            </TextButton>
          ) : (
            ", by the distance of the rows"
          )}
        </legend>
        <div className="flex gap-3 text-[14px]">
          <Tick
            label="rows across"
            checked={underlay.rows}
            onChanged={(rows) => change({ underlay: { ...underlay, rows } })}
          />
          <Tick
            label="edge run"
            checked={underlay.edge}
            onChanged={(edge) => change({ underlay: { ...underlay, edge } })}
          />
        </div>
      </fieldset>
    </>
  );
}
