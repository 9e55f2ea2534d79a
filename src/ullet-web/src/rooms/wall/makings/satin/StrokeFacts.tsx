import { useEdits } from "../../../../api/edits";
import type { Made } from "../../../../api/elements";
import { NumberField } from "../../../../parts/fields/NumberField";
import { Note } from "../../../../parts/Note";
import { TextButton } from "../../../../parts/TextButton";
import { useView } from "../../../../state/view";
import type { ElementProps } from "../../card/elementProps";
import { useSatin } from "./useSatin";

/** What is not sewn in strokes and why, and the lines that turn strokes. */
export function StrokeFacts({ projectId, element }: ElementProps<Made<"satin">>) {
  const { change } = useSatin(projectId, element);
  const edits = useEdits(projectId);
  const place = (index: number | null, part: { x?: number; y?: number; angle?: number }) =>
    edits.edit({ edit: "placeDirection", elementId: element.id, index, ...part });
  const tool = useView((view) => view.tool);
  const setTool = useView((view) => view.setTool);
  const { fallenSaid, directions } = element.making;
  return (
    <>
      {fallenSaid.map((said) => (
        <Note key={said}>{said}</Note>
      ))}
      <div className="flex flex-wrap items-center gap-x-3 text-[14px]">
        <TextButton onClick={() => setTool(tool === "direction" ? "select" : "direction")}>
          {tool === "direction" ? "Done with directions" : "Turn its strokes"}
        </TextButton>
        <TextButton onClick={() => place(null, {})}>Lay a line by numbers</TextButton>
        {directions.length ? (
          <TextButton onClick={() => change({ directions: [] })}>
            Take {directions.length === 1 ? "the direction line" : `${directions.length} direction lines`}{" "}
            away
          </TextButton>
        ) : null}
      </div>
      {directions.map((line, index) => (
        <div
          key={index}
          role="group"
          aria-label={`Direction line ${index + 1}`}
          className="grid grid-cols-3 gap-1.5"
        >
          <NumberField label="Across" value={line.x} unit="mm" onTyped={(x) => place(index, { x })} />
          <NumberField label="Down" value={line.y} unit="mm" onTyped={(y) => place(index, { y })} />
          <NumberField
            label="Angle"
            value={line.angle}
            unit="°"
            onTyped={(angle) => place(index, { angle })}
          />
        </div>
      ))}
      {tool === "direction" ? (
        <p className="text-[13px] text-muted">Draw a line across a column: its strokes lie along it there.</p>
      ) : null}
    </>
  );
}
