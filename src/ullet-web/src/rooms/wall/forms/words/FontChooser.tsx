import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Trash2, TriangleAlert, Upload } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import {
  answered,
  api,
  importFile,
  Refused,
  type CoverSettings,
  type FontKind,
  type FontSample,
  type SampleRequest,
  type WordsUse,
  type Unit,
} from "../../../../api/client";
import { FileChooser } from "../../../../parts/fields/FileChooser";
import { Segments, type Segment } from "../../../../parts/fields/Segments";
import { Button } from "../../../../parts/Button";
import { IconButton } from "../../../../parts/IconButton";
import { withUnit } from "../../../../state/lengths";
import { say } from "../../../../state/messages";

interface Props {
  text: string;
  /** mm; one of the two says how large the words are shown and judged. */
  capHeight?: number;
  width?: number;
  /** The cover that the strokes must hold; null when no cloth is used. */
  cover: CoverSettings | null;
  use: WordsUse;
  unit: Unit;
  chosen: string;
  onChosen: (fontId: string) => void;
}

const KINDS: Segment<NonNullable<FontKind> | "all">[] = [
  { value: "all", label: "All" },
  { value: "thick", label: "Thick" },
  { value: "script", label: "Script" },
  { value: "serif", label: "Serif" },
  { value: "plain", label: "Plain" },
  { value: "singleLine", label: "Single line" },
  { value: "mine", label: "Mine" },
];

/** The user's own words in every font, with how wide their strokes are at this size. */
export function FontChooser({ text, capHeight, width, cover, use, unit, chosen, onChosen }: Props) {
  const queries = useQueryClient();
  const [kind, setKind] = useState<NonNullable<FontKind> | "all">("all");
  const words = text.trim() ? text : "Words";
  const samples = useQuery({
    queryKey: ["fonts", words, capHeight, width, cover, use],
    queryFn: ({ signal }) =>
      answered(
        api.POST("/api/fonts/samples", { body: { text: words, capHeight, width, cover, use }, signal }),
      ),
    placeholderData: (before) => before,
  });
  const shown = (samples.data ?? []).filter((sample) => kind === "all" || sample.font.kinds.includes(kind));

  const add = async (file: File) => {
    try {
      const { font } = await importFile(file);
      await queries.invalidateQueries({ queryKey: ["fonts"] });
      if (!font) throw new Refused(`"${file.name}" is no font; choose a .ttf or .otf file.`, "font-foreign");
      setKind("mine");
      onChosen(font.id);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That font can’t be read.", "trouble");
    }
  };

  const remove = async (sample: FontSample) => {
    try {
      const { stillNeeded } = await answered(
        api.DELETE("/api/fonts/{id}", { params: { path: { id: sample.font.id } } }),
      );
      await queries.invalidateQueries({ queryKey: ["fonts"] });
      const kept = stillNeeded === 1 ? "1 project keeps" : `${stillNeeded} projects keep`;
      say(`${sample.font.name} is removed.${stillNeeded ? ` ${kept} drawing with it.` : ""}`);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };

  return (
    <div className="flex min-h-0 flex-1 flex-col" data-state={samples.isFetching ? "busy" : "idle"}>
      <div className="mb-2 flex items-center gap-1.5">
        <Segments
          label="Fonts shown"
          value={kind}
          options={KINDS}
          className="flex gap-0.5"
          itemClassName="px-2.5 py-0.5 text-[14px]"
          onChosen={setKind}
        />
        <FileChooser label="Font file" accept=".ttf,.otf" onChosen={add}>
          {(open) => (
            <Button className="ml-auto" onClick={open}>
              <Upload size={16} aria-hidden />
              Add a font
            </Button>
          )}
        </FileChooser>
      </div>
      {samples.isError ? <p className="text-madder">{samples.error.message}</p> : null}
      {kind === "mine" && shown.length === 0 && samples.data ? (
        <p className="rounded-card border border-dashed border-field px-4 py-8 text-center text-muted">
          No fonts of your own yet. Add a .ttf or .otf file; it stays in this installation.
        </p>
      ) : null}
      <ul
        aria-label="Fonts"
        className="grid min-h-0 flex-1 auto-rows-min grid-cols-2 gap-2 overflow-y-auto pr-1"
      >
        {shown.map((sample) => (
          <Tile
            key={sample.font.id}
            sample={sample}
            asked={{ text: words, capHeight, width, use }}
            unit={unit}
            judged={cover !== null || use === "satin" || sample.said !== ""}
            chosen={sample.font.id === chosen}
            onChosen={() => onChosen(sample.font.id)}
            onRemove={sample.font.kinds.includes("mine") ? () => void remove(sample) : undefined}
          />
        ))}
      </ul>
    </div>
  );
}

interface TileProps {
  sample: FontSample;
  /** The words, their size and use. */
  asked: SampleRequest;
  unit: Unit;
  /** False when no cover has to fit on the strokes. */
  judged: boolean;
  chosen: boolean;
  onChosen: () => void;
  onRemove?: () => void;
}

function Tile({ sample, asked, unit, judged, chosen, onChosen, onRemove }: TileProps) {
  const { box, font, missing } = sample;
  const fits = missing.length === 0;
  const pad = Math.max(box.width, box.height) * 0.03 + 0.01;
  const tile = useRef<HTMLLIElement>(null);
  const sewn = useQuery({
    queryKey: ["sewn words", font.id, asked],
    queryFn: ({ signal }) =>
      answered(api.POST("/api/fonts/{id}/sewn", { params: { path: { id: font.id } }, body: asked, signal })),
    enabled: fits && asked.use === "satin",
  });
  const thread = sewn.data?.thread;

  // The font in use is in sight when the fonts come up.
  useEffect(() => {
    if (chosen) tile.current?.scrollIntoView({ block: "nearest" });
  }, [chosen]);

  return (
    <li
      ref={tile}
      data-chosen={chosen || undefined}
      className="relative m-0.5 rounded-card border border-line bg-white data-[chosen]:border-indigo data-[chosen]:ring-2 data-[chosen]:ring-indigo"
    >
      <button
        type="button"
        aria-pressed={chosen}
        disabled={!fits}
        className="block w-full px-3 pt-2 pb-1.5 text-left disabled:cursor-not-allowed"
        onClick={onChosen}
      >
        <span className="flex h-[70px] items-center justify-center">
          {fits ? (
            <svg
              aria-hidden
              className="h-full w-full"
              viewBox={`${box.x - pad} ${box.y - pad} ${box.width + 2 * pad} ${box.height + 2 * pad}`}
            >
              {thread ? (
                <g transform="scale(0.1)" fill="none" stroke="#1d2a3a" strokeLinejoin="round">
                  <path d={thread} strokeWidth={3.5} />
                  <path d={thread} stroke="#aab4c6" strokeWidth={0.8} />
                </g>
              ) : sample.isLine ? (
                <path d={sample.path} fill="none" stroke="#1d2a3a" strokeWidth={0.5} strokeLinecap="round" />
              ) : (
                <path d={sample.path} fill="#1d2a3a" fillRule="evenodd" />
              )}
            </svg>
          ) : (
            <span className="text-[14px] text-muted">has no {missing.join(" ")}</span>
          )}
        </span>
        <span className="mt-1 flex items-baseline gap-2 text-[13px]">
          <span className="truncate font-medium">{font.name}</span>
          <Verdict sample={sample} judged={judged && fits} unit={unit} />
          {judged && fits && !sample.said ? <span className="sr-only">{needWords(sample, unit)}</span> : null}
        </span>
      </button>
      {onRemove ? (
        <IconButton label={`Remove ${font.name}`} className="absolute! top-1 right-1 h-7!" onClick={onRemove}>
          <Trash2 size={15} aria-hidden />
        </IconButton>
      ) : null}
    </li>
  );
}

function Verdict({ sample, judged, unit }: { sample: FontSample; judged: boolean; unit: Unit }) {
  if (!judged) return null;
  const bad = sample.verdict !== "fits";
  return (
    <span
      data-bad={sample.verdict === "tooThin" || undefined}
      className="ml-auto flex items-center gap-1 whitespace-nowrap text-muted data-[bad]:font-medium data-[bad]:text-madder"
    >
      {bad ? <TriangleAlert size={13} aria-hidden /> : null}
      {sample.said
        ? sample.said
        : sample.verdict === "tooThin"
          ? "too thin"
          : sample.verdict === "thinInPlaces"
            ? "thin in places"
            : `strokes ${withUnit(sample.stroke, unit)}`}
    </span>
  );
}

/** What the cover asks of the strokes, for those who do not see the letters. */
function needWords({ stroke, needed }: FontSample, unit: Unit): string {
  return `; strokes ${withUnit(stroke, unit)}, this cover needs ${withUnit(needed, unit)}`;
}
