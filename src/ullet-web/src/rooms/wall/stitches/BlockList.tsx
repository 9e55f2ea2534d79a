import { Hand } from "lucide-react";
import { ThreadSwatch } from "../../../parts/Swatch";
import type { PreviewBlock } from "./previews";

interface Props {
  blocks: PreviewBlock[];
  chosen: number | null;
  onChosen: (number: number | null) => void;
}

/** Blocks with what they are for; one pointed at stands out in the picture. */
export function BlockList({ blocks, chosen, onChosen }: Props) {
  return (
    <ol aria-label="Blocks" className="divide-y divide-line overflow-y-auto rounded-card border border-line">
      {blocks.map((block) => (
        <li key={block.number}>
          {block.hands.map((words, i) => (
            <p key={i} className="flex gap-1.5 bg-marigold/15 px-2.5 py-1 text-[13px]">
              <Hand size={15} aria-hidden className="mt-0.5 shrink-0" />
              <span className="line-clamp-2">{words}</span>
            </p>
          ))}
          <button
            type="button"
            aria-pressed={block.number === chosen}
            onClick={() => onChosen(block.number === chosen ? null : block.number)}
            className="grid w-full grid-cols-[22px_20px_1fr_auto] items-center gap-x-1.5 px-2.5 py-1.5 text-left hover:bg-chalk aria-pressed:bg-indigo-pale"
          >
            <span className="text-muted tabular-nums">{block.number}</span>
            <ThreadSwatch colour={block.colour} />
            <span className="min-w-0">
              <span className="block truncate font-medium">
                {block.words}
                {block.isUnsure ? <span className="font-normal text-muted"> · perhaps</span> : null}
              </span>
              <span className="block truncate text-[13px] text-muted">
                {block.lookWords}
                {block.name ? ` · ${block.name}` : ""}
              </span>
            </span>
            <span className="text-right text-[13px] text-muted tabular-nums">
              {block.stitches.toLocaleString("en-GB")}
            </span>
          </button>
          {block.stopAfter ? (
            <p className="border-t border-marigold px-2.5 py-0.5 text-[12px] text-muted">the machine stops</p>
          ) : null}
        </li>
      ))}
    </ol>
  );
}
