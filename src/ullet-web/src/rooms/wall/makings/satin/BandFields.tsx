import type { SatinBand } from "../../../../api/client";
import { isFormed, type Made } from "../../../../api/elements";
import { Choice } from "../../../../parts/fields/Choice";
import { NumberField } from "../../../../parts/fields/NumberField";
import { Tick } from "../../../../parts/fields/Tick";
import type { ElementProps } from "../../card/elementProps";
import { useSatin } from "./useSatin";

/** The band along a line: its width, how it swells, how it ends. */
export function BandFields({ projectId, element }: ElementProps<Made<"satin">>) {
  const { change } = useSatin(projectId, element);
  const { set, band } = element.making;
  const isOpen = isFormed(element, "drawing") && element.form.isOpen;
  const turn = (part: Partial<SatinBand>) => change({ band: { ...band, ...part } });
  return (
    <>
      {isOpen ? null : (
        <Tick
          label="a band along its outline, not its area"
          checked={set.alongLines ?? false}
          onChanged={(alongLines) => change({ alongLines })}
        />
      )}
      {set.alongLines ? (
        <div className="grid grid-cols-[88px_1fr_1fr] gap-1.5">
          <NumberField
            label="Band width"
            value={band.width ?? 0}
            unit="mm"
            onTyped={(width) => turn({ width })}
          />
          <Choice
            label="Widest"
            value={band.swell ?? "even"}
            options={[
              { value: "even", label: "the same all along" },
              { value: "middle", label: "in its middle" },
              { value: "start", label: "where it begins" },
              { value: "end", label: "where it ends" },
            ]}
            onChosen={(swell) => turn({ swell: swell as SatinBand["swell"] })}
          />
          <Choice
            label="Ends"
            value={band.cap ?? "round"}
            options={[
              { value: "round", label: "round" },
              { value: "square", label: "square" },
              { value: "pointed", label: "pointed" },
            ]}
            onChosen={(cap) => turn({ cap: cap as SatinBand["cap"] })}
          />
        </div>
      ) : null}
    </>
  );
}
