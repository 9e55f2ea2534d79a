import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, Refused, type ThreadTable } from "../../api/client";
import { keys } from "../../api/queries";
import { FormPanel } from "../../parts/FormPanel";
import { Choice } from "../../parts/fields/Choice";
import { Tick } from "../../parts/fields/Tick";
import { ThreadSwatch } from "../../parts/Swatch";
import { isNothing, sent, TableSource, type Source } from "../../parts/table/TableSource";
import { useLooked } from "../../parts/table/useLooked";
import { say } from "../../state/messages";

/** Brings threads into the stash from a table; what would come in is shown first, and then comes all of it or nothing. */
export function ThreadTablePanel({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const [source, setSource] = useState<Source>({ text: "" });
  const [targets, setTargets] = useState<string[]>([]);
  const [leavesOut, setLeavesOut] = useState(false);
  const {
    table: shown,
    trouble,
    isRead,
    setTrouble,
  } = useLooked(isNothing(source) ? null : { ...sent(source), targets }, (wish) =>
    bring({ ...wish, save: false }),
  );
  const send = async () => {
    try {
      const done = await bring({ ...sent(source), targets, save: true, leavesOutBroken: leavesOut });
      await queries.invalidateQueries({ queryKey: keys.stash });
      say(
        `${threads(done.new)} came into the stash${done.known ? `, ${threads(done.known)} there got new facts` : ""}.`,
      );
      onClose();
    } catch (wrong) {
      setTrouble(wrong instanceof Refused ? wrong.message : "The table could not be brought in.");
    }
  };
  const isBroken = shown !== null && shown.broken > 0 && !leavesOut;
  return (
    <FormPanel
      title="Threads from a table"
      size="large"
      action={shown ? `Bring in ${threads(shown.count)}` : "Bring in"}
      disabled={!shown || shown.missing != null || shown.count === 0 || isBroken}
      hint={isBroken ? "Nothing comes in while a row can’t be read." : undefined}
      onSent={() => void send()}
      onClose={onClose}
    >
      <div className="flex min-h-0 flex-1 flex-col gap-3" data-state={isRead ? "idle" : "busy"}>
        <TableSource
          label="Rows from a spreadsheet; the first one names the columns: number, name, maker, kind, colour, metres"
          fileLabel="CSV file of threads"
          accept=".csv,.tsv,.txt"
          source={source}
          onSource={(next) => {
            setSource(next);
            setTargets([]);
          }}
        />
        {(trouble ?? shown?.missing) ? (
          <p className="rounded-card bg-madder-pale px-3 py-2 text-madder">{trouble ?? shown?.missing}</p>
        ) : null}
        {shown ? (
          <>
            <Columns
              table={shown}
              onTarget={(column, target) =>
                setTargets(
                  shown.targets.map((known, i) => (i === column ? target : known === target ? "" : known)),
                )
              }
            />
            <p className="text-[14px]">
              {threads(shown.count)}: {shown.new} new
              {shown.known ? `, ${shown.known} there already, which get these facts` : ""}.
            </p>
            <Preview table={shown} />
            {shown.broken ? (
              <div className="text-[14px]">
                <ul
                  className="max-h-[96px] overflow-y-auto text-madder"
                  tabIndex={0}
                  aria-label="Rows that can’t be read"
                >
                  {shown.troubles.map((words) => (
                    <li key={words}>{words}</li>
                  ))}
                  {shown.broken > shown.troubles.length ? (
                    <li>And {shown.broken - shown.troubles.length} more rows.</li>
                  ) : null}
                </ul>
                <Tick
                  label={`Leave ${shown.broken === 1 ? "this row" : `these ${shown.broken} rows`} out and bring in the others`}
                  checked={leavesOut}
                  onChanged={setLeavesOut}
                />
              </div>
            ) : null}
          </>
        ) : null}
      </div>
    </FormPanel>
  );
}

interface Wish {
  text?: string;
  file?: string;
  targets: string[];
  save?: boolean;
  leavesOutBroken?: boolean;
}

const bring = (wish: Wish) => answered(api.POST("/api/stash/threads/table", { body: wish }));

const threads = (count: number) => (count === 1 ? "1 thread" : `${count} threads`);

interface ColumnsProps {
  table: ThreadTable;
  onTarget: (column: number, target: string) => void;
}

/** What each column of the table says; changed by hand where its heading does not tell. */
function Columns({ table, onTarget }: ColumnsProps) {
  const options = [
    { value: "", label: "leave out" },
    ...table.choices.map(({ id, name }) => ({ value: id, label: name })),
  ];
  return (
    <ul aria-label="Columns" className="flex flex-wrap gap-2">
      {table.columns.map((column, i) => (
        <li key={i} className="w-[140px]">
          <Choice
            label={column || `Column ${i + 1}`}
            value={table.targets[i] ?? ""}
            options={options}
            onChosen={(target) => onTarget(i, target)}
          />
        </li>
      ))}
    </ul>
  );
}

function Preview({ table }: { table: ThreadTable }) {
  return (
    <ul aria-label="The first of them" className="grid grid-cols-2 gap-x-6 gap-y-1 text-[14px]">
      {table.first.map((thread, i) => (
        <li key={i} className="flex items-center gap-2">
          <ThreadSwatch colour={thread.colour} />
          <span className="truncate">
            <b className="font-semibold">{thread.number}</b> {thread.name}
            <span className="text-muted">
              {" "}
              {[thread.maker, thread.kind, thread.metres == null ? "" : `${thread.metres} m`]
                .filter(Boolean)
                .join(" · ")}
            </span>
          </span>
        </li>
      ))}
    </ul>
  );
}
