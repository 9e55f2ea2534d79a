import type { UnderlaySettings } from "../../../api/client";
import { TextButton } from "../../../parts/TextButton";
import { Tick } from "../../../parts/fields/Tick";

const RUNS = [
  { key: "centreRun", name: "middle run" },
  { key: "edgeRuns", name: "side runs" },
  { key: "zigzag", name: "zigzag" },
] as const;

interface Props {
  /** What holds. */
  holds: UnderlaySettings;
  isSet: boolean;
  /** Said where nothing is set. */
  unset: string;
  onTicked: (part: Partial<UnderlaySettings>) => unknown;
  onUnset: () => unknown;
}

/** What lies under strokes. */
export function UnderlayTicks({ holds, isSet, unset, onTicked, onUnset }: Props) {
  return (
    <fieldset>
      <legend className="text-[13px] text-muted">
        Underlay
        {isSet ? (
          <TextButton className="ml-2" onClick={onUnset}>
            by width again
          </TextButton>
        ) : (
          unset
        )}
      </legend>
      <div className="flex gap-3 text-[14px]">
        {RUNS.map(({ key, name }) => (
          <Tick key={key} label={name} checked={holds[key]} onChanged={(on) => onTicked({ [key]: on })} />
        ))}
      </div>
    </fieldset>
  );
}
