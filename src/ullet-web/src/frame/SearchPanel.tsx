import { BookOpen, CornerDownLeft, FolderOpen, Search } from "lucide-react";
import { Dialog } from "radix-ui";
import { useId, useState, type ReactNode } from "react";
import { useNavigate } from "react-router";
import type { Scene, VerbRow } from "../api/client";
import { useCatalogue, useHelpSearch, useShelf } from "../api/queries";
import { SearchInput } from "../parts/fields/SearchInput";
import { answers, folded } from "../state/folded";
import { say } from "../state/messages";
import { openHelp, useWhenAsked } from "../verbs/asks";
import { useVerbs } from "../verbs/useVerbs";

interface Props {
  projectId: string | null;
  scene: Scene | undefined;
}

interface Hit {
  key: string;
  group: string;
  icon: ReactNode;
  name: string;
  beside: string;
  not?: string;
  run: () => unknown;
}

/** Most of a group while nothing is searched for. */
const FEW = 7;

const SOME_PROJECTS = 5;
const SOME_HELP = 6;

/** One box for everything that can be done, for projects and for the help. */
export function SearchPanel(props: Props) {
  const [open, setOpen] = useState(false);
  useWhenAsked("search", () => setOpen(true));
  return open ? <Box {...props} onClose={() => setOpen(false)} /> : null;
}

function Box({ projectId, scene, onClose }: Props & { onClose: () => void }) {
  const [text, setText] = useState("");
  const [at, setAt] = useState(0);
  const list = useId();
  const hits = useHits(projectId, scene, text);
  const chosen = hits[Math.min(at, hits.length - 1)];

  const run = (hit: Hit | undefined) => {
    if (!hit) return;
    if (hit.not) {
      say(`${hit.name}: ${hit.not}`);
      return;
    }
    onClose();
    hit.run();
  };

  return (
    <Dialog.Root open onOpenChange={(open) => (open ? undefined : onClose())}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Dialog.Content
          aria-describedby={undefined}
          onKeyDown={(event) => event.stopPropagation()}
          className="fixed top-[9vh] left-1/2 z-50 flex max-h-[78vh] w-[640px] max-w-[94vw] -translate-x-1/2 flex-col overflow-hidden rounded-card bg-white shadow-lg"
        >
          <Dialog.Title className="sr-only">Search for what to do</Dialog.Title>
          <div className="flex items-center gap-2.5 border-b border-line px-4">
            <Search size={19} aria-hidden className="shrink-0 text-muted" />
            <SearchInput
              label="What do you want to do?"
              value={text}
              listId={list}
              activeId={chosen ? `${list}-${chosen.key}` : undefined}
              onChange={(next) => {
                setText(next);
                setAt(0);
              }}
              onMove={(by) => setAt((now) => Math.max(0, Math.min(hits.length - 1, now + by)))}
              onEnter={() => run(chosen)}
            />
          </div>
          <ul
            id={list}
            role="listbox"
            aria-label="What was found"
            tabIndex={-1}
            className="min-h-0 overflow-y-auto py-1.5"
          >
            {hits.map((hit, i) => (
              <Row
                key={hit.key}
                id={`${list}-${hit.key}`}
                hit={hit}
                heads={hits[i - 1]?.group !== hit.group}
                chosen={hit === chosen}
                onChosen={() => run(hit)}
              />
            ))}
            {hits.length === 0 ? (
              <li role="presentation" className="px-4 py-3 text-muted">
                Nothing is called so. Try another word, or look through the help (F1).
              </li>
            ) : null}
          </ul>
          <p className="flex items-center gap-3 border-t border-line bg-chalk px-4 py-1.5 text-[13px] text-muted">
            <span>↑ ↓ choose</span>
            <span className="inline-flex items-center gap-1">
              <CornerDownLeft size={13} aria-hidden /> do it
            </span>
            <span>Esc closes</span>
          </p>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

interface RowProps {
  id: string;
  hit: Hit;
  /** True for the first of its group. */
  heads: boolean;
  chosen: boolean;
  onChosen: () => void;
}

function Row({ id, hit, heads, chosen, onChosen }: RowProps) {
  return (
    <>
      {heads ? (
        <li role="presentation" className="px-4 pt-2 pb-0.5 text-[12px] font-semibold text-muted">
          {hit.group}
        </li>
      ) : null}
      <li
        id={id}
        role="option"
        aria-selected={chosen}
        aria-disabled={hit.not !== undefined}
        ref={(row) => {
          if (chosen) row?.scrollIntoView({ block: "nearest" });
        }}
        onClick={onChosen}
        className="mx-1.5 flex cursor-pointer items-center gap-2.5 rounded-[6px] px-2.5 py-1.5 aria-selected:bg-indigo-pale"
      >
        <span className="shrink-0 text-muted">{hit.icon}</span>
        <span className="shrink-0 font-medium aria-disabled:text-muted">{hit.name}</span>
        <span className="min-w-0 flex-1 truncate text-[13px] text-muted">{hit.not ?? hit.beside}</span>
      </li>
    </>
  );
}

/** What a text finds: things to do first, then projects, then the help. */
function useHits(projectId: string | null, scene: Scene | undefined, typed: string): Hit[] {
  const text = typed.trim();
  const navigate = useNavigate();
  const verbs = useVerbs(projectId, scene);
  const rows = useCatalogue().data?.verbs ?? [];
  // What an earlier text found is left out: Enter must not do what is not asked for any more.
  const projects = current(useShelf({ search: text }, text !== ""));
  const help = current(useHelpSearch(text));

  const found = ranked(rows, text);
  const done = text ? found : found.filter(({ id }) => !verbs[id].not).slice(0, 2 * FEW);
  return [
    ...done.map(({ id, name, about, keys }) => ({
      key: id,
      group: "To do",
      icon: <CornerDownLeft size={16} aria-hidden />,
      name,
      beside: keys ? `${about} (${keys})` : about,
      not: verbs[id].not,
      run: verbs[id].run,
    })),
    ...projects.slice(0, SOME_PROJECTS).map((item) => ({
      key: item.id,
      group: "Projects",
      icon: <FolderOpen size={16} aria-hidden />,
      name: item.title,
      beside: [`${item.hoop} mm`, ...item.tags].join(" · "),
      run: () => void navigate(`/p/${item.id}/wall`),
    })),
    ...help.slice(0, SOME_HELP).map((hit) => ({
      key: `${hit.page}-${hit.anchor}`,
      group: "Help",
      icon: <BookOpen size={16} aria-hidden />,
      name: hit.title,
      beside: hit.excerpt,
      run: () => openHelp(hit.page, hit.anchor),
    })),
  ];
}

/** What a query found for its very text. */
function current<T>({ data, isPlaceholderData }: { data?: T[]; isPlaceholderData: boolean }): T[] {
  return isPlaceholderData ? [] : (data ?? []);
}

/** The verbs that a text finds: those whose name begins so first, then those that hold it, then those of other words. */
function ranked(rows: VerbRow[], text: string): VerbRow[] {
  const start = folded(text);
  const rank = ({ name, words }: VerbRow) =>
    folded(name).startsWith(start) ? 0 : answers(text, name) ? 1 : answers(text, `${name} ${words}`) ? 2 : 3;
  return rows
    .map((row) => ({ row, at: rank(row) }))
    .filter(({ at }) => at < 3)
    .sort((one, other) => one.at - other.at)
    .map(({ row }) => row);
}
