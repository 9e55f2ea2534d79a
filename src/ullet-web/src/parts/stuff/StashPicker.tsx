import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import type { Cloth, StashCloth, StashThread, Thread } from "../../api/client";
import { useCatalogue, useNearThreads, useStashCloths, useStashThreads } from "../../api/queries";
import { PlainField } from "../fields/PlainField";
import { Panel } from "../Panel";
import { ClothSwatch, ThreadSwatch } from "../Swatch";
import { useMore } from "../useMore";
import { answers } from "../../state/folded";
import { clothFacts } from "./clothFacts";
import { ClothPicture } from "./ClothPicture";
import { threadLabel } from "./threadLabel";

const AT_ONCE = 60;

interface ThreadProps {
  title: string;
  /** A thread whose shade is looked for: the nearest come first then. */
  near?: { colour: string; label: string };
  /** The project's own threads, to be chosen here too. */
  own?: Thread[];
  onOwn?: (id: string) => unknown;
  onChosen: (thread: StashThread) => unknown;
  onClose: () => void;
}

/** Chooses a thread of the stash, by number, name, maker or kind; or the nearest to a shade. */
export function ThreadPicker({ title, near, own = [], onOwn, onChosen, onClose }: ThreadProps) {
  const [search, setSearch] = useState("");
  const byName = useStashThreads(search);
  const byShade = useNearThreads(near?.colour ?? "#000000", search, 50);
  const rows = near
    ? (byShade.data ?? []).map(({ thread, label, words }) => ({ thread, label, beside: words }))
    : (byName.data ?? []).map(({ thread, label }) => ({ thread, label, beside: thread.kind ?? "" }));
  const [shown, sentinel] = useMore(rows, AT_ONCE);
  const pending = near ? byShade.isPending : byName.isPending;
  return (
    <Panel title={title} onClose={onClose}>
      <div className="flex min-h-0 flex-1 flex-col gap-3" data-state={pending ? "busy" : "idle"}>
        {near ? (
          <p className="flex items-center gap-2 text-[14px] text-muted">
            <ThreadSwatch colour={near.colour} size={22} />
            Nearest to {near.label} first
          </p>
        ) : null}
        <PlainField
          label="Search the stash"
          value={search}
          placeholder="a number, a name, a maker …"
          onChange={setSearch}
        />
        <Own
          rows={own
            .filter((thread) => answers(search, `${threadLabel(thread)} ${thread.maker ?? ""}`))
            .map((thread) => ({
              id: thread.id,
              name: threadLabel(thread),
              mark: <ThreadSwatch colour={thread.colour} size={22} />,
            }))}
          onOwn={onOwn}
        />
        <ul aria-label="Threads of the stash" className="max-h-[52vh] min-h-0 space-y-0.5 overflow-y-auto">
          {shown.map(({ thread, label, beside }) => (
            <li key={thread.id}>
              <button
                type="button"
                className="flex w-full items-center gap-2.5 rounded-[6px] px-2 py-1.5 text-left hover:bg-indigo-pale"
                onClick={() => onChosen(thread)}
              >
                {near ? (
                  <span
                    aria-hidden
                    className="flex h-6 w-12 shrink-0 overflow-hidden rounded-[4px] border border-ink/20"
                  >
                    <span className="flex-1" style={{ backgroundColor: near.colour }} />
                    <span className="flex-1" style={{ backgroundColor: thread.colour }} />
                  </span>
                ) : (
                  <ThreadSwatch colour={thread.colour} size={22} />
                )}
                <span className="min-w-0 flex-1 truncate font-medium">{label}</span>
                <span className="shrink-0 text-[13px] text-muted">
                  {[thread.maker, beside, thread.metres == null ? "" : `${thread.metres} m`]
                    .filter(Boolean)
                    .join(" · ")}
                </span>
              </button>
            </li>
          ))}
          {sentinel ? <li>{sentinel}</li> : null}
        </ul>
        {!pending && rows.length === 0 ? <Nothing search={search} what="threads" /> : null}
      </div>
    </Panel>
  );
}

interface ClothProps {
  title: string;
  /** The project's own cloths, to be chosen here too. */
  own?: Cloth[];
  onOwn?: (id: string) => unknown;
  onChosen: (cloth: StashCloth) => unknown;
  onClose: () => void;
}

/** Chooses a cloth of the stash, by name, kind or note. */
export function ClothPicker({ title, own = [], onOwn, onChosen, onClose }: ClothProps) {
  const [search, setSearch] = useState("");
  const cloths = useStashCloths(search);
  const [shown, sentinel] = useMore<StashCloth>(cloths.data ?? [], AT_ONCE);
  const kinds = useCatalogue().data?.clothKinds ?? [];
  return (
    <Panel title={title} onClose={onClose}>
      <div className="flex min-h-0 flex-1 flex-col gap-3" data-state={cloths.isPending ? "busy" : "idle"}>
        <PlainField
          label="Search the stash"
          value={search}
          placeholder="a name, a kind, a note …"
          onChange={setSearch}
        />
        <Own
          rows={own
            .filter((cloth) => answers(search, cloth.name))
            .map((cloth) => ({
              id: cloth.id,
              name: cloth.name,
              mark: <ClothSwatch cloth={cloth} size={22} />,
            }))}
          onOwn={onOwn}
        />
        <ul aria-label="Cloths of the stash" className="max-h-[52vh] min-h-0 space-y-0.5 overflow-y-auto">
          {shown.map((cloth) => (
            <li key={cloth.id}>
              <button
                type="button"
                className="flex w-full items-center gap-2.5 rounded-[6px] px-2 py-1.5 text-left hover:bg-indigo-pale"
                onClick={() => onChosen(cloth)}
              >
                <ClothPicture cloth={cloth} className="h-10 w-14 shrink-0 rounded-[6px] border border-line" />
                <span className="min-w-0">
                  <span className="block truncate font-medium">{cloth.name}</span>
                  <span className="block truncate text-[13px] text-muted">{clothFacts(cloth, kinds)}</span>
                </span>
              </button>
            </li>
          ))}
          {sentinel ? <li>{sentinel}</li> : null}
        </ul>
        {!cloths.isPending && cloths.data?.length === 0 ? <Nothing search={search} what="cloths" /> : null}
      </div>
    </Panel>
  );
}

interface OwnProps {
  rows: { id: string; name: string; mark: ReactNode }[];
  onOwn?: (id: string) => unknown;
}

/** What the project has already. */
function Own({ rows, onOwn }: OwnProps) {
  if (!onOwn || rows.length === 0) return null;
  return (
    <div>
      <p className="text-[12px] font-semibold text-muted">In this project</p>
      <ul aria-label="In this project" className="max-h-[24vh] overflow-y-auto">
        {rows.map((row) => (
          <li key={row.id}>
            <button
              type="button"
              className="flex w-full items-center gap-2.5 rounded-[6px] px-2 py-1 text-left hover:bg-indigo-pale"
              onClick={() => onOwn(row.id)}
            >
              {row.mark}
              <span className="min-w-0 truncate font-medium">{row.name}</span>
            </button>
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[12px] font-semibold text-muted">In the stash</p>
    </div>
  );
}

function Nothing({ search, what }: { search: string; what: "threads" | "cloths" }) {
  return (
    <p className="py-4 text-center text-[14px] text-muted">
      {search ? (
        `No ${what} answer to that.`
      ) : (
        <>
          There are no {what} in the stash yet.{" "}
          <Link className="text-indigo underline" to={`/stash?of=${what}`}>
            Go to the stash
          </Link>
        </>
      )}
    </p>
  );
}
