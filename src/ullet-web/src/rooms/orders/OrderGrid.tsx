import { useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent } from "react";
import type { BookField, BookOrder, useBookEdits } from "../../api/orders";
import { say } from "../../state/messages";
import { CellEditor } from "../../parts/fields/CellEditor";
import { Tick } from "../../parts/fields/Tick";
import { columnsOf, type Column } from "./columns";
import { OrderRow } from "./OrderRow";
import { filledDown, pasted } from "./cellChanges";
import { ROW_HEIGHT } from "./rowHeight";

interface Props {
  projectId: string;
  fields: BookField[];
  rows: BookOrder[];
  ticked: ReadonlySet<string>;
  /** The row whose details are shown. */
  atId: string | null;
  edits: ReturnType<typeof useBookEdits>;
  onTicked: (ids: ReadonlySet<string>) => void;
  onAt: (id: string) => void;
  /** Told what is typed into a row, at every letter; null when that is taken or left. */
  onTyping: (typed: { orderId: string; column: string; text: string } | null) => void;
  /** Called with true while hands are in the table. */
  onFocus: (inside: boolean) => void;
}

/** Rows that are drawn above and below what is seen. */
const SPARE = 8;

/** The book as a table with the keys of a spreadsheet: arrows go, typing replaces, Enter takes and goes down, Ctrl+D fills down. */
export function OrderGrid({
  projectId,
  fields,
  rows,
  ticked,
  atId,
  edits,
  onTicked,
  onAt,
  onTyping,
  onFocus,
}: Props) {
  const columns = useMemo(() => columnsOf(fields), [fields]);
  const [at, setAt] = useState({ column: 1, to: 0 });
  const [editing, setEditing] = useState<{ id: string; column: string; begun: string | null } | null>(null);
  const [seen, setSeen] = useState({ top: 0, height: 600 });
  const grid = useRef<HTMLDivElement>(null);
  const rowAt = Math.max(
    0,
    rows.findIndex((order) => order.id === atId),
  );
  const first = Math.max(0, Math.floor(seen.top / ROW_HEIGHT) - SPARE);
  const last = Math.min(rows.length, Math.ceil((seen.top + seen.height) / ROW_HEIGHT) + SPARE);
  const range = { from: Math.min(rowAt, rowAt + at.to), to: Math.max(rowAt, rowAt + at.to) };

  const go = (row: number, column: number) => {
    const order = rows[Math.max(0, Math.min(rows.length - 1, row))];
    const next = Math.max(0, Math.min(columns.length - 1, column));
    setAt({ column: next, to: 0 });
    if (!order) return;
    onAt(order.id);
    focusCell(grid.current, order.id, columns[next]?.id ?? "");
  };
  const write = (order: BookOrder, column: Column, text: string) => {
    if (text === column.of(order)) return;
    const change = column.set(text);
    if (change) void edits.change(`Change order ${order.number}`, [{ id: order.id, ...change }]);
    else say(`“${text}” is nothing that ${column.label} can say.`, "trouble");
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (editing || (event.target as HTMLElement).closest("input, button, select")) return;
    const [order, column] = [rows[rowAt], columns[at.column]];
    if (!order || !column) return;
    const step = STEPS[event.key];
    if (step && event.shiftKey && step[0] !== 0) setAt({ ...at, to: at.to + step[0] });
    else if (step) go(rowAt + step[0], at.column + step[1]);
    else if (event.key === "Home") go(event.ctrlKey ? 0 : rowAt, 0);
    else if (event.key === "End") go(event.ctrlKey ? rows.length - 1 : rowAt, columns.length - 1);
    else if (event.key === "Enter" || event.key === "F2")
      setEditing({ id: order.id, column: column.id, begun: null });
    else if (event.key === "Delete" || event.key === "Backspace") {
      const changes = filledDown(rows, range, column, "");
      if (changes.length) void edits.change("Clear cells", changes);
    } else if (event.key.toLowerCase() === "d" && (event.ctrlKey || event.metaKey)) {
      const down = range.from === range.to ? { from: Math.max(0, rowAt - 1), to: rowAt } : range;
      const from = rows[down.from];
      const changes = from ? filledDown(rows, down, column, column.of(from)) : [];
      if (changes.length) void edits.change(`Fill ${column.label} down`, changes);
    } else if (event.key === " ") onTicked(toggled(ticked, order.id));
    else if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey)
      setEditing({ id: order.id, column: column.id, begun: event.key });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const onPaste = (event: ClipboardEvent) => {
    if (editing) return;
    const text = event.clipboardData.getData("text/plain");
    const changes = pasted(text, rows, rowAt, columns, at.column);
    if (!changes.length) return;
    event.preventDefault();
    void edits.change("Paste cells", changes);
  };
  const onCopy = (event: ClipboardEvent) => {
    const column = columns[at.column];
    if (editing || !column) return;
    event.preventDefault();
    const cells = rows.slice(range.from, range.to + 1).map((order) => column.of(order));
    event.clipboardData.setData("text/plain", cells.join("\n"));
  };
  const all = rows.length > 0 && rows.every((order) => ticked.has(order.id));
  return (
    <div
      ref={grid}
      role="grid"
      aria-label="Orders"
      aria-rowcount={rows.length + 1}
      aria-multiselectable
      className="min-h-0 min-w-0 flex-1 overflow-auto bg-white"
      onScroll={(event) =>
        setSeen({ top: event.currentTarget.scrollTop, height: event.currentTarget.clientHeight })
      }
      onKeyDown={onKeyDown}
      onPaste={onPaste}
      onCopy={onCopy}
      onFocus={() => onFocus(true)}
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) onFocus(false);
      }}
    >
      <div
        role="row"
        aria-rowindex={1}
        className="sticky top-0 z-10 flex w-max min-w-full border-b border-line bg-chalk text-[13px] font-semibold"
      >
        <span role="columnheader" className="flex w-9 shrink-0 items-center justify-center">
          <Tick
            label={<span className="sr-only">Choose all orders</span>}
            checked={all}
            onChanged={() => onTicked(all ? new Set() : new Set(rows.map((order) => order.id)))}
          />
        </span>
        <span role="columnheader" className="w-[88px] shrink-0 px-1 py-2">
          Picture
        </span>
        {columns.map((column) => (
          <span
            key={column.id}
            role="columnheader"
            className="shrink-0 truncate px-2 py-2"
            style={{ width: column.width }}
            title={column.label}
          >
            {column.label}
          </span>
        ))}
      </div>
      <div className="relative w-max min-w-full" style={{ height: rows.length * ROW_HEIGHT }}>
        {rows.slice(first, last).map((order, i) => (
          <OrderRow
            key={order.id}
            projectId={projectId}
            order={order}
            index={first + i}
            columns={columns}
            isAt={first + i === rowAt}
            isInRange={first + i >= range.from && first + i <= range.to}
            column={at.column}
            isTicked={ticked.has(order.id)}
            editor={
              editing?.id === order.id
                ? {
                    column: editing.column,
                    draw: (column) => (
                      <CellEditor
                        label={`${column.label}, order ${order.number}`}
                        begun={editing.begun}
                        value={column.of(order)}
                        options={column.options}
                        onText={(text) => onTyping({ orderId: order.id, column: column.id, text })}
                        onTaken={(text, then) => {
                          setEditing(null);
                          onTyping(null);
                          write(order, column, text);
                          if (then) go(rowAt + then[0], at.column + then[1]);
                        }}
                        onLeft={() => {
                          setEditing(null);
                          onTyping(null);
                          focusCell(grid.current, order.id, column.id);
                        }}
                      />
                    ),
                  }
                : null
            }
            onTicked={() => onTicked(toggled(ticked, order.id))}
            onCell={(column) => {
              if (editing) return;
              setAt({ column, to: 0 });
              onAt(order.id);
            }}
            onEdit={(column) => setEditing({ id: order.id, column: columns[column]?.id ?? "", begun: null })}
          />
        ))}
      </div>
    </div>
  );
}

/** Rows and columns that a key goes on. */
const STEPS: Record<string, [number, number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  PageUp: [-10, 0],
  PageDown: [10, 0],
};

function toggled(ids: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const next = new Set(ids);
  if (!next.delete(id)) next.add(id);
  return next;
}

/** Gives a cell the focus once it is drawn. */
function focusCell(grid: HTMLElement | null, id: string, column: string) {
  requestAnimationFrame(() =>
    grid?.querySelector<HTMLElement>(`[data-order="${id}"] [data-column="${column}"]`)?.focus(),
  );
}
