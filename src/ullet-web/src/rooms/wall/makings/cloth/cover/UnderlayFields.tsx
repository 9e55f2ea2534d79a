import { TextButton } from "../../../../../parts/TextButton";
import { Tick } from "../../../../../parts/fields/Tick";
import type { CoverProps } from "./coverProps";

const RUNS = [
  { key: "centreRun", name: "middle run" },
  { key: "edgeRuns", name: "side runs" },
  { key: "zigzag", name: "zigzag" },
] as const;

/** What lies under the cover. */
export function UnderlayFields({ cover, set, take }: CoverProps) {
  return (
    <fieldset>
      <legend className="text-[13px] text-muted">
        Underlay
        {set.underlay ? (
          <TextButton className="ml-2" onClick={() => take({ underlay: null })}>
            by width again
          </TextButton>
        ) : (
          ", by its width"
        )}
      </legend>
      <div className="flex gap-3 text-[14px]">
        {RUNS.map(({ key, name }) => (
          <Tick
            key={key}
            label={name}
            checked={cover[key]}
            onChanged={(on) =>
              take(({ centreRun, edgeRuns, zigzag }) => ({
                underlay: { centreRun, edgeRuns, zigzag, [key]: on },
              }))
            }
          />
        ))}
      </div>
    </fieldset>
  );
}
