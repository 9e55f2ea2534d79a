import type { CoverProps } from "./coverProps";

const RUNS = [
  { key: "centreRun", name: "middle run" },
  { key: "edgeRuns", name: "side runs" },
  { key: "zigzag", name: "zigzag" },
] as const;

/** What lies under the cover. */
export function UnderlayFields({ cover, set, take }: CoverProps) {
  const now = { centreRun: cover.centreRun, edgeRuns: cover.edgeRuns, zigzag: cover.zigzag };
  return (
    <fieldset>
      <legend className="text-[13px] text-muted">
        Underlay
        {set.underlay ? (
          <button
            type="button"
            className="ml-2 text-indigo hover:underline"
            onClick={() => take({ underlay: null })}
          >
            by width again
          </button>
        ) : (
          ", by its width"
        )}
      </legend>
      <div className="flex gap-3 text-[14px]">
        {RUNS.map(({ key, name }) => (
          <label key={key} className="flex items-center gap-1.5">
            <input
              type="checkbox"
              className="size-4 accent-indigo"
              checked={now[key]}
              onChange={(event) => take({ underlay: { ...now, [key]: event.target.checked } })}
            />
            {name}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
