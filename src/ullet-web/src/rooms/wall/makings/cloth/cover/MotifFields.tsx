import { Segments } from "../../../../../parts/fields/Segments";
import type { CoverProps } from "./coverProps";

/** The decorative units, each drawn three times in a row. */
export function MotifFields({ catalogue, cover, take }: CoverProps) {
  return (
    <Segments
      label="Motif"
      value={cover.motifId}
      options={catalogue.motifs.map((motif) => ({
        value: motif.id,
        label: motif.name,
        picture: (
          <>
            <svg viewBox="0 0 36 12" className="h-5 w-full" aria-hidden>
              <path
                d={motif.path}
                fill="none"
                stroke="currentColor"
                strokeWidth={1.1}
                strokeLinejoin="round"
              />
            </svg>
            {motif.name}
          </>
        ),
      }))}
      itemClassName="flex flex-col items-center px-1 py-1 text-[13px]"
      onChosen={(motifId) => take({ motifId, unitLength: null })}
    />
  );
}
