import { useEffect, useState } from "react";
import { tryValues, type BookField, type BookOrder, type Judged } from "../../api/orders";

/** What is typed into a row and not taken yet. */
export interface Typing {
  orderId: string;
  column: string;
  text: string;
}

/** Typing has stopped for so long before it is judged, ms. */
const PAUSE = 250;

/** An order as it would be with what is typed; null while nothing is, or it is not judged yet. */
export function useTried(projectId: string, order: BookOrder, fields: BookField[], typing: Typing | null) {
  const [tried, setTried] = useState<{ values: Record<string, string>; judged: Judged } | null>(null);
  const isFillIn = typing !== null && fields.some((field) => field.id === typing.column);
  const values = isFillIn ? JSON.stringify({ ...order.values, [typing.column]: typing.text }) : "";

  useEffect(() => {
    if (!values) return;
    const leaving = new AbortController();
    const wait = setTimeout(() => {
      const asked = JSON.parse(values) as Record<string, string>;
      tryValues(projectId, asked, leaving.signal)
        .then((judged) => setTried({ values: asked, judged }))
        // What can't be judged now is judged when it is taken, and said then.
        .catch(() => undefined);
    }, PAUSE);
    return () => {
      clearTimeout(wait);
      leaving.abort();
    };
  }, [projectId, values]);

  return values && tried ? tried : null;
}
