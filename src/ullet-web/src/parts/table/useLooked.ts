import { useEffect, useEffectEvent, useState } from "react";
import { Refused } from "../../api/client";

/** What the server says of a table before it is brought in, asked anew whenever the wish changes; null for no wish asks for nothing.
 * `isRead` is false while the answer to the newest wish is still to come. */
export function useLooked<Wish, Table>(wish: Wish | null, look: (wish: Wish) => Promise<Table>) {
  const [table, setTable] = useState<Table | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [read, setRead] = useState("");
  const asked = wish === null ? null : JSON.stringify(wish);
  const ask = useEffectEvent((text: string) => look(JSON.parse(text) as Wish));

  useEffect(() => {
    if (asked === null) return;
    let over = false;
    ask(asked)
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
        if (!over) setRead(asked);
      });
    return () => {
      over = true;
    };
  }, [asked]);

  return {
    table: asked === null ? null : table,
    trouble: asked === null ? null : trouble,
    isRead: asked === null || read === asked,
    setTable,
    setTrouble,
  };
}
