import type { Book, useBookEdits } from "../../api/orders";
import { Button } from "../../parts/Button";
import type { BookPanel } from "./OrderBar";

interface Props {
  book: Book;
  edits: ReturnType<typeof useBookEdits>;
  onOpen: (panel: BookPanel) => void;
}

/** What to do with a book that has no orders, or a project in which nothing changes yet. */
export function EmptyBook({ book, edits, onOpen }: Props) {
  const ready = book.fields.length > 0;
  return (
    <div className="flex flex-1 flex-col items-center justify-center gap-3 px-6 text-center">
      <p className="max-w-[520px] text-[17px]">
        {ready
          ? `Every order fills in ${book.fields.map((field) => field.label).join(", ")}. Type the first one, or paste them from a spreadsheet.`
          : "Nothing of this project changes from order to order yet. Say first what does: words, a number, a cloth, a thread, a drawing."}
      </p>
      <div className="flex flex-wrap justify-center gap-2">
        {ready ? (
          <>
            <Button look="main" onClick={() => onOpen("table")}>
              Paste orders
            </Button>
            <Button onClick={() => void edits.change("Add an order", [{ id: "", values: {} }])}>
              Add an order
            </Button>
          </>
        ) : (
          <Button look="main" onClick={() => onOpen("fields")}>
            Say what changes
          </Button>
        )}
      </div>
    </div>
  );
}
