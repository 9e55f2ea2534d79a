import { useState } from "react";
import { Refused } from "../../api/client";
import { bringTable, type OrderTable, type useBookEdits } from "../../api/orders";
import { FormPanel } from "../../parts/FormPanel";
import { Choice } from "../../parts/fields/Choice";
import { isNothing, sent, TableSource, type Source } from "../../parts/table/TableSource";
import { useLooked } from "../../parts/table/useLooked";

interface Props {
  projectId: string;
  edits: ReturnType<typeof useBookEdits>;
  onClose: () => void;
}

/** Brings a table into the book: pasted, or a file; what would come in is shown first, and then comes all of it or nothing. */
export function TablePanel({ projectId, edits, onClose }: Props) {
  const [source, setSource] = useState<Source>({ text: "" });
  const [targets, setTargets] = useState<string[]>([]);
  const [sending, setSending] = useState(false);
  const {
    table: shown,
    trouble,
    isRead,
    setTable,
    setTrouble,
  } = useLooked(isNothing(source) ? null : { ...sent(source), targets }, (wish) =>
    bringTable(projectId, { ...wish, save: false }),
  );
  const bring = async () => {
    setSending(true);
    try {
      const brought = await bringTable(projectId, { ...sent(source), targets, save: true });
      setTable(brought);
      if (brought.isSaved) {
        await edits.refresh();
        onClose();
      }
    } catch (wrong) {
      setTrouble(wrong instanceof Refused ? wrong.message : "The table could not be brought in.");
    } finally {
      setSending(false);
    }
  };
  return (
    <FormPanel
      title="Orders from a table"
      size="large"
      action={shown ? `Bring in ${shown.count} ${shown.count === 1 ? "order" : "orders"}` : "Bring in"}
      disabled={!shown || shown.troubles.length > 0 || sending}
      hint={shown && shown.troubles.length > 0 ? "Nothing comes in while a row can’t be read." : undefined}
      onSent={() => void bring()}
      onClose={onClose}
    >
      <div className="flex min-h-0 flex-1 flex-col gap-3" data-state={isRead ? "idle" : "busy"}>
        <TableSource
          label="Rows from a spreadsheet; a first row of names is understood"
          fileLabel="A table as CSV"
          accept=".csv,.tsv,.txt"
          source={source}
          onSource={(next) => {
            setSource(next);
            setTargets([]);
          }}
        />
        {trouble ? <p className="rounded-card bg-madder-pale px-3 py-2 text-madder">{trouble}</p> : null}
        {shown ? (
          <>
            <Preview
              table={shown}
              onTarget={(column, target) =>
                setTargets(shown.columns.map((known, i) => (i === column ? target : known.target)))
              }
            />
            <Said title="Can’t be read" tone="text-madder" sentences={shown.troubles} />
            <Said title="To know" tone="text-ink" sentences={shown.notes} />
          </>
        ) : null}
      </div>
    </FormPanel>
  );
}

function Preview({
  table,
  onTarget,
}: {
  table: OrderTable;
  onTarget: (column: number, target: string) => void;
}) {
  const options = [
    { value: "", label: "leave out" },
    ...table.targets.map((target) => ({ value: target.id, label: target.label })),
  ];
  return (
    <div
      className="min-h-0 flex-1 overflow-auto rounded-card border border-line"
      tabIndex={0}
      role="region"
      aria-label="What would come in"
    >
      <table className="w-max min-w-full text-[14px]">
        <thead className="sticky top-0 bg-chalk text-left align-bottom">
          <tr>
            <th className="px-2 py-1.5">Order</th>
            {table.columns.map((column, i) => (
              <th key={i} className="min-w-[140px] px-2 py-1.5 font-normal">
                <span className="block truncate text-[13px] font-semibold">{column.name}</span>
                <Choice
                  label={`${column.name} goes to`}
                  labelHidden
                  value={column.target}
                  options={options}
                  onChosen={(target) => onTarget(i, target)}
                />
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.first.map((order, i) => (
            <tr key={i} className="border-t border-line">
              <td className="px-2 py-1 font-semibold">{order.number}</td>
              {order.cells.map((cell, j) => (
                <td key={j} className="max-w-[220px] truncate px-2 py-1">
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.count > table.first.length ? (
        <p className="px-2 py-1 text-[13px] text-muted">… and {table.count - table.first.length} more</p>
      ) : null}
    </div>
  );
}

function Said({ title, tone, sentences }: { title: string; tone: string; sentences: string[] }) {
  return sentences.length ? (
    <div
      className={`max-h-[110px] overflow-y-auto text-[14px] ${tone}`}
      tabIndex={0}
      role="region"
      aria-label={title}
    >
      <p className="font-semibold">{title}</p>
      {sentences.map((words) => (
        <p key={words}>{words}</p>
      ))}
    </div>
  ) : null;
}
