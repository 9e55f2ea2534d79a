import { MotifChoice } from "../../MotifChoice";
import type { CoverProps } from "./coverProps";

/** The decorative unit of a cover. */
export function MotifFields({ catalogue, cover, take }: CoverProps) {
  return (
    <MotifChoice
      motifs={catalogue.motifs}
      value={cover.motifId ?? ""}
      onChosen={(motifId) => take({ motifId, unitLength: null })}
    />
  );
}
