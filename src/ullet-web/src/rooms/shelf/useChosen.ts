import { useState } from "react";
import type { ShelfItem } from "../../api/client";

/** The projects that are chosen on the shelf, as far as they are shown. */
export interface Chosen {
  items: ShelfItem[];
  has: (id: string) => boolean;
  /** Chooses a project or lets it go; with a span all from the one that was pressed last. */
  press: (id: string, span: boolean) => void;
  all: () => void;
  none: () => void;
}

export function useChosen(shown: ShelfItem[]): Chosen {
  const [ids, setIds] = useState<ReadonlySet<string>>(new Set());
  const [last, setLast] = useState<string | null>(null);
  const items = shown.filter(({ id }) => ids.has(id));
  const press = (id: string, span: boolean) => {
    const order = shown.map((item) => item.id);
    const [from, to] = [order.indexOf(last ?? id), order.indexOf(id)].sort((one, other) => one - other);
    setIds((now) => {
      const next = new Set(now);
      if (span && from !== undefined && from >= 0 && to !== undefined)
        order.slice(from, to + 1).forEach((each) => next.add(each));
      else if (!next.delete(id)) next.add(id);
      return next;
    });
    setLast(id);
  };
  return {
    items,
    has: (id) => ids.has(id),
    press,
    all: () => setIds(new Set(shown.map(({ id }) => id))),
    none: () => setIds(new Set()),
  };
}
