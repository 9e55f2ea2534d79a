import { Download, FileStack, Layers, ListPlus, Redo2, Table2, TextCursorInput, Undo2 } from "lucide-react";
import { useJobs, type Book, type BookOrder, type useBookEdits } from "../../api/orders";
import { Button, buttonClass } from "../../parts/Button";
import { IconButton } from "../../parts/IconButton";
import { Tick } from "../../parts/fields/Tick";

/** What can be opened over the book. */
export type BookPanel = "table" | "fields" | "proofs" | "hoopings";

interface Props {
  projectId: string;
  book: Book;
  edits: ReturnType<typeof useBookEdits>;
  /** How many rows are ticked; none stands for all. */
  chosen: number;
  /** The orders that are meant: those ticked, or all. */
  meant: BookOrder[];
  judging: boolean;
  wrongFirst: boolean;
  onWrongFirst: (on: boolean) => void;
  onOpen: (panel: BookPanel) => void;
}

/** Above the book: bringing in on the left, handing over on the right. */
export function OrderBar({
  projectId,
  book,
  edits,
  chosen,
  meant,
  judging,
  wrongFirst,
  onWrongFirst,
  onOpen,
}: Props) {
  const jobs = useJobs(projectId);
  const wrong = book.orders.filter((order) => order.judged?.level === "stop").length;
  const which = chosen ? `${chosen} chosen` : `all ${book.orders.length}`;
  return (
    <div className="flex shrink-0 flex-wrap items-center gap-x-2 gap-y-1.5 border-b border-line bg-white px-3 py-2">
      <Button onClick={() => onOpen("fields")}>
        <TextCursorInput size={16} aria-hidden />
        What changes
      </Button>
      <Button onClick={() => onOpen("table")} disabled={book.fields.length === 0}>
        <Table2 size={16} aria-hidden />
        Bring in a table
      </Button>
      <Button
        onClick={() => void edits.change("Add an order", [{ id: "", values: {} }])}
        disabled={book.fields.length === 0}
      >
        <ListPlus size={16} aria-hidden />
        Add an order
      </Button>
      <IconButton
        label={book.undo ? `Undo in the book: ${book.undo}` : "Nothing to undo in the book"}
        keys="Ctrl+Z"
        disabled={!book.undo}
        onClick={() => void edits.undo()}
      >
        <Undo2 size={17} aria-hidden />
      </IconButton>
      <IconButton
        label={book.redo ? `Redo in the book: ${book.redo}` : "Nothing to redo in the book"}
        keys="Ctrl+Y"
        disabled={!book.redo}
        onClick={() => void edits.redo()}
      >
        <Redo2 size={17} aria-hidden />
      </IconButton>
      {book.orders.length ? (
        <>
          <Tick label="Wrong first" checked={wrongFirst} onChanged={onWrongFirst} />
          <p className="ml-1 text-[14px] text-muted" role="status">
            {judging
              ? `Judging, ${book.orders.filter((order) => order.judged).length} of ${book.orders.length}…`
              : wrong
                ? `${wrong} ${wrong === 1 ? "order" : "orders"} can’t be made yet`
                : "All can be made"}
          </p>
          <span className="ml-auto flex flex-wrap gap-2">
            <a
              className={buttonClass("plain")}
              href={`/api/projects/${projectId}/orders/book.csv`}
              download
              aria-label="Save the book as CSV"
              title="Save the book as CSV"
            >
              <Download size={16} aria-hidden />
            </a>
            <Button onClick={() => onOpen("proofs")} title={`Of ${which}`}>
              <FileStack size={16} aria-hidden />
              Proofs
            </Button>
            <Button onClick={() => onOpen("hoopings")} title={`Of ${which}`}>
              <Layers size={16} aria-hidden />
              Share a hoop
            </Button>
            <Button
              look="main"
              onClick={() =>
                void jobs.begin(
                  "packets",
                  meant.map((order) => order.id),
                )
              }
            >
              Make {chosen ? (chosen === 1 ? "1 packet" : `${chosen} packets`) : "all packets"}
            </Button>
          </span>
        </>
      ) : null}
    </div>
  );
}
