import { useEffect } from "react";
import type { Book, useBookEdits } from "../../api/orders";

/** Undo and redo of the book by keys. */
export function useBookKeys(book: Book | undefined, edits: ReturnType<typeof useBookEdits>) {
  const [undo, redo] = [book?.undo, book?.redo];
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement &&
        event.target.closest("input:not([type=checkbox]), textarea, [role=dialog]");
      if (typing || !(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      const again = key === "y" || (key === "z" && event.shiftKey);
      if (key !== "z" && !again) return;
      event.preventDefault();
      // The project's own undo is for its other rooms.
      event.stopImmediatePropagation();
      if (again && redo) void edits.redo();
      if (!again && undo) void edits.undo();
    };
    window.addEventListener("keydown", onKey, { capture: true });
    return () => window.removeEventListener("keydown", onKey, { capture: true });
  }, [undo, redo, edits]);
}
