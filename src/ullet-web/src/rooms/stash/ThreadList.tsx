import { Download, Pencil, Plus, Table2, Trash2 } from "lucide-react";
import { useState } from "react";
import type { OwnedThread } from "../../api/client";
import { useStashThreads } from "../../api/queries";
import { Button, buttonClass } from "../../parts/Button";
import { PlainField } from "../../parts/fields/PlainField";
import { Tick } from "../../parts/fields/Tick";
import { IconButton } from "../../parts/IconButton";
import { ThreadSwatch } from "../../parts/Swatch";
import { useMore } from "../../parts/useMore";
import { EmptyStash } from "./EmptyStash";
import { OwnThreadPanel } from "./OwnThreadPanel";
import { ThreadTablePanel } from "./ThreadTablePanel";
import { useStash } from "./useStash";

const AT_ONCE = 100;

/** The threads of the stash: searched, with near shades pointed out, in and out as CSV. */
export function ThreadList() {
  const [search, setSearch] = useState("");
  const [onlyAlike, setOnlyAlike] = useState(false);
  const [asked, setAsked] = useState<"new" | "table" | OwnedThread | null>(null);
  const all = useStashThreads("").data ?? [];
  const found = useStashThreads(search).data ?? [];
  const listed = onlyAlike ? found.filter(({ alike }) => alike.length) : found;
  const [shown, sentinel] = useMore(listed, AT_ONCE);
  const alike = all.filter((each) => each.alike.length).length;
  const close = () => setAsked(null);

  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <PlainField
          label="Search the threads"
          className="w-[300px] max-md:w-full"
          value={search}
          placeholder="a number, a name, a maker, a kind …"
          onChange={setSearch}
        />
        {alike ? (
          <Tick
            label={`Only shades that can hardly be told apart (${alike})`}
            className="pb-1.5 text-[14px]"
            checked={onlyAlike}
            onChanged={setOnlyAlike}
          />
        ) : null}
        <span className="ml-auto flex gap-2">
          {all.length ? (
            <a className={buttonClass("plain")} href="/api/stash/threads.csv" download>
              <Download size={16} aria-hidden />
              Save as CSV
            </a>
          ) : null}
          <Button onClick={() => setAsked("table")}>
            <Table2 size={16} aria-hidden />
            Bring in a CSV
          </Button>
          <Button look="main" onClick={() => setAsked("new")}>
            <Plus size={16} aria-hidden />
            New thread
          </Button>
        </span>
      </div>
      {all.length === 0 ? (
        <EmptyStash
          words="No threads yet. Bring in the list that you have as CSV, or add one spool after the other."
          action="New thread"
          onAdd={() => setAsked("new")}
        />
      ) : (
        <div
          className="min-h-0 flex-1 overflow-y-auto rounded-card border border-line bg-white"
          tabIndex={0}
          role="region"
          aria-label="Threads of the stash"
        >
          <table className="w-full text-[14px]">
            <thead className="sticky top-0 z-10 bg-chalk text-left text-[13px] text-muted">
              <tr>
                <th className="px-3 py-1.5 font-medium">Shade</th>
                <th className="px-2 py-1.5 font-medium">Number</th>
                <th className="px-2 py-1.5 font-medium">Name</th>
                <th className="px-2 py-1.5 font-medium max-md:hidden">Maker</th>
                <th className="px-2 py-1.5 font-medium">Kind</th>
                <th className="px-2 py-1.5 text-right font-medium">Left</th>
                <th className="px-2 py-1.5 font-medium max-md:hidden">Hardly to be told from</th>
                <th className="px-2 py-1.5">
                  <span className="sr-only">What can be done</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {shown.map((owned) => (
                <Row key={owned.thread.id} owned={owned} onChange={() => setAsked(owned)} />
              ))}
            </tbody>
          </table>
          {listed.length === 0 ? (
            <p className="px-4 py-8 text-center text-muted">No thread answers to that.</p>
          ) : null}
          {sentinel}
        </div>
      )}
      {asked === "table" ? <ThreadTablePanel onClose={close} /> : null}
      {asked === "new" ? <OwnThreadPanel onClose={close} /> : null}
      {asked !== null && typeof asked === "object" ? (
        <OwnThreadPanel thread={asked.thread} onClose={close} />
      ) : null}
    </>
  );
}

function Row({ owned, onChange }: { owned: OwnedThread; onChange: () => void }) {
  const { removeThread } = useStash();
  const { thread, label, alike } = owned;
  return (
    <tr className="border-t border-line hover:bg-chalk/60">
      <td className="px-3 py-1">
        <span className="flex items-center gap-2">
          <ThreadSwatch colour={thread.colour} size={22} />
          <span
            aria-hidden
            className="h-5 w-14 rounded-[4px] border border-ink/20"
            style={{ backgroundColor: thread.colour }}
          />
        </span>
      </td>
      <td className="px-2 py-1 font-semibold">{thread.number}</td>
      <td className="px-2 py-1">{thread.name}</td>
      <td className="px-2 py-1 text-muted max-md:hidden">{thread.maker}</td>
      <td className="px-2 py-1 text-muted">{thread.kind}</td>
      <td className="px-2 py-1 text-right whitespace-nowrap">
        {thread.metres == null ? <span className="text-muted">not said</span> : `${thread.metres} m`}
      </td>
      <td className="max-w-[220px] truncate px-2 py-1 max-md:hidden">{alike.join(", ")}</td>
      <td className="px-2 py-1">
        <span className="flex justify-end">
          <IconButton label={`Change ${label}`} side="left" onClick={onChange}>
            <Pencil size={15} aria-hidden />
          </IconButton>
          <IconButton
            label={`Take ${label} out of the stash`}
            side="left"
            onClick={() => void removeThread(thread)}
          >
            <Trash2 size={15} aria-hidden />
          </IconButton>
        </span>
      </td>
    </tr>
  );
}
