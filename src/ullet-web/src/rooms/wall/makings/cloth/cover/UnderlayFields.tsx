import { UnderlayTicks } from "../../UnderlayTicks";
import type { CoverProps } from "./coverProps";

/** What lies under the cover. */
export function UnderlayFields({ cover, set, take }: CoverProps) {
  return (
    <UnderlayTicks
      holds={cover}
      isSet={Boolean(set.underlay)}
      unset=", by its width"
      onTicked={(part) =>
        take(({ centreRun, edgeRuns, zigzag }) => ({
          underlay: { centreRun, edgeRuns, zigzag, ...part },
        }))
      }
      onUnset={() => take({ underlay: null })}
    />
  );
}
