import type { CoverProps } from "./coverProps";

/** The decorative units, each drawn three times in a row. */
export function MotifFields({ catalogue, cover, take }: CoverProps) {
  return (
    <div role="radiogroup" aria-label="Motif" className="grid grid-cols-3 gap-1">
      {catalogue.motifs.map((motif) => (
        <button
          key={motif.id}
          type="button"
          role="radio"
          aria-checked={motif.id === cover.motifId}
          className="flex flex-col items-center rounded-[6px] border border-line px-1 py-1 text-[13px] hover:bg-chalk aria-checked:border-indigo aria-checked:bg-indigo-pale"
          onClick={() => take({ motifId: motif.id, unitLength: null })}
        >
          <svg viewBox="0 0 36 12" className="h-5 w-full" aria-hidden>
            <path d={motif.path} fill="none" stroke="currentColor" strokeWidth={1.1} strokeLinejoin="round" />
          </svg>
          {motif.name}
        </button>
      ))}
    </div>
  );
}
