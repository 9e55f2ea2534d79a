import { useEffect, useState } from "react";
import { Refused } from "../../api/client";
import { bringTable, type OrderTable, type useBookEdits } from "../../api/orders";
import { Button } from "../../parts/Button";
import { FormPanel } from "../../parts/FormPanel";
import { Choice } from "../../parts/fields/Choice";
import { PlainArea } from "../../parts/fields/PlainArea";
import { FileChooser } from "../../parts/fields/FileChooser";
import { bytesAsBase64 } from "../../state/base64";

interface Props {
  projectId: string;
  edits: ReturnType<typeof useBookEdits>;
  onClose: () => void;
}

type Source = { text: string } | { file: string; name: string };

/** Brings a table into the book: pasted, or a file; what would come in is shown first, and then comes all of it or nothing. */
export function TablePanel({ projectId, edits, onClose }: Props) {
  const [source, setSource] = useState<Source>({ text: "" });
  const [targets, setTargets] = useState<string[]>([]);
  const [table, setTable] = useState<OrderTable | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [read, setRead] = useState("");
  const [sending, setSending] = useState(false);
  const isEmpty = "text" in source && source.text.trim() === "";
  const wish = JSON.stringify({ ...source, targets });

  useEffect(() => {
    if (isEmpty) return;
    let over = false;
    const asked = JSON.parse(wish) as { text?: string; file?: string; targets: string[] };
    bringTable(projectId, { ...asked, save: false })
      .then((found) => {
        if (over) return;
        setTable(found);
        setTrouble(null);
      })
      .catch((wrong: unknown) => {
        if (over) return;
        setTable(null);
        setTrouble(wrong instanceof Refused ? wrong.message : "The table could not be read.");
      })
      .finally(() => {
        if (!over) setRead(wish);
      });
    return () => {
      over = true;
    };
  }, [projectId, wish, isEmpty]);

  const shown = isEmpty ? null : table;
  const bring = async () => {
    setSending(true);
    try {
      const brought = await bringTable(projectId, { ...source, targets, save: true });
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
      <div
        className="flex min-h-0 flex-1 flex-col gap-3"
        data-state={isEmpty || read === wish ? "idle" : "busy"}
      >
        <div className="flex items-end gap-3">
          <PlainArea
            label="Rows from a spreadsheet; a first row of names is understood"
            className="h-[92px] font-mono text-[13px]"
            value={"text" in source ? source.text : `(the file ${source.name})`}
            onChange={(text) => {
              setSource({ text });
              setTargets([]);
            }}
          />
          <FileChooser
            label="A table as CSV"
            accept=".csv,.tsv,.txt"
            onChosen={async (file) => {
              setSource({ file: bytesAsBase64(await file.arrayBuffer()), name: file.name });
              setTargets([]);
            }}
          >
            {(open) => <Button onClick={open}>Open a CSV file</Button>}
          </FileChooser>
        </div>
        {trouble && !isEmpty ? (
          <p className="rounded-card bg-madder-pale px-3 py-2 text-madder">{trouble}</p>
        ) : null}
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
