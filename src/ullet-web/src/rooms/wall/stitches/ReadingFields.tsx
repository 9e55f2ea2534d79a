import type { Schemas } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { Tick } from "../../../parts/fields/Tick";
import type { StitchPreview } from "./previews";

export type Reading = Schemas["OpenedReading"];

interface Props {
  preview: StitchPreview;
  reading: Reading;
  onChanged: (part: Partial<Reading>) => unknown;
}

const UNITS = [
  { value: "1", label: "1 mm" },
  { value: "0.1", label: "1/10 mm" },
  { value: "0.01", label: "1/100 mm" },
  { value: "25.4", label: "1 in" },
  { value: "0.0254", label: "1/1000 in" },
  { value: String(25.4 / 96), label: "1/96 in" },
];

/** What a file does not say itself: its unit, its axes, its columns, where its origin goes. */
export function ReadingFields({ preview, reading, onChanged }: Props) {
  const { table } = preview;
  return (
    <>
      {table && !preview.saysUnit ? (
        <fieldset className="space-y-1.5">
          <legend className="text-[13px] text-muted">Which column holds what</legend>
          <div className="grid grid-cols-2 gap-1.5">
            {table.wanted.map((wanted, i) => (
              <Choice
                key={wanted}
                label={wanted}
                value={String(table.chosen[i] ?? -1)}
                options={[
                  { value: "-1", label: "none" },
                  ...table.names.map((name, column) => ({
                    value: String(column),
                    label: `${column + 1}: ${name || "empty"}`,
                  })),
                ]}
                onChosen={(column) =>
                  onChanged({ columns: table.chosen.map((old, k) => (k === i ? Number(column) : old)) })
                }
              />
            ))}
          </div>
        </fieldset>
      ) : null}
      {preview.saysUnit ? null : (
        <Choice
          label="The file does not say its unit. One is"
          value={String(preview.mmPerUnit)}
          options={UNITS}
          onChosen={(unit) => onChanged({ mmPerUnit: Number(unit) })}
        />
      )}
      {preview.saysAxes ? null : (
        <Choice
          label="Its y axis grows"
          value={preview.isYUp ? "up" : "down"}
          options={[
            { value: "down", label: "downwards, as here" },
            { value: "up", label: "upwards" },
          ]}
          onChosen={(way) => onChanged({ isYUp: way === "up" })}
        />
      )}
      <Tick
        label="Its middle in the hoop’s centre"
        checked={reading.isCentred ?? false}
        onChanged={(isCentred) => onChanged({ isCentred })}
      />
    </>
  );
}
