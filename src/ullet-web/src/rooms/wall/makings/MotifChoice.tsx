import type { Catalogue } from "../../../api/client";
import { Segments } from "../../../parts/fields/Segments";

type Props = {
  motifs: Catalogue["motifs"];
  value: string;
  onChosen: (id: string) => void;
};

/** The decorative units, each drawn three times in a row. */
export function MotifChoice({ motifs, value, onChosen }: Props) {
  return (
    <Segments
      label="Motif"
      value={value}
      options={motifs.map((motif) => ({
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
      onChosen={onChosen}
    />
  );
}
