import { useEffect, useLayoutEffect, useState, useSyncExternalStore, type KeyboardEvent } from "react";
import { FieldDraft, type FieldWish } from "./FieldDraft";

/** What is typed into a field: taken by Enter, when the field is left, and before any press of something else. It is never
 * lost, however fast that comes. */
export function useDraft<T>(wish: FieldWish<T>) {
  const [own] = useState(() => new FieldDraft(wish));
  const { typed, sent, wrong } = useSyncExternalStore(own.subscribe, own.snapshot);

  useLayoutEffect(() => own.follow(wish));

  useEffect(
    () => () => {
      // What is typed into a field that goes away is taken all the same.
      if (own.snapshot().typed !== null) void own.take();
    },
    [own],
  );

  return {
    text: typed ?? sent ?? wish.shown,
    wrong,
    type: (text: string) => own.type(text),
    take: () => void own.take(),
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      if (event.key === "Escape") {
        // First what was typed goes back to what it was, then the keys go back to the wall.
        if (own.snapshot().typed === null) event.currentTarget.blur();
        own.forget();
      }
      event.stopPropagation();
    },
  };
}
