import { useMemo, useState } from "react";
import { useParams } from "react-router";
import { useScene } from "../../api/queries";
import { useBook, useBookEdits, useJudging, type Book } from "../../api/orders";
import { EmptyBook } from "./EmptyBook";
import { FieldsPanel } from "./FieldsPanel";
import { HoopingsPanel } from "./HoopingsPanel";
import { JobBar } from "./JobBar";
import { OrderBar, type BookPanel } from "./OrderBar";
import { OrderGrid } from "./OrderGrid";
import { OrderPanel } from "./OrderPanel";
import type { Typing } from "./useTried";
import { ProofPanel } from "./ProofPanel";
import { TablePanel } from "./TablePanel";
import { useBookKeys } from "./useBookKeys";

/** The order book: a row an order, judged as it is typed. */
export function OrdersRoom() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const book = useBook(id, scene?.head ?? 0);
  const judging = useJudging(id, book.data);
  const edits = useBookEdits(id);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const [atId, setAtId] = useState<string | null>(null);
  const [panel, setPanel] = useState<BookPanel | null>(null);
  const [wrongFirst, setWrongFirst] = useState(true);
  const [frozen, setFrozen] = useState(false);
  const [typing, setTyping] = useState<Typing | null>(null);
  const rows = useSorted(book.data, wrongFirst, frozen);
  useBookKeys(book.data, edits);
  if (book.isError)
    return <p className="p-8 text-madder">The order book could not be read: {book.error.message}</p>;
  if (!book.data || !scene) return <p className="p-8 text-muted">Opening the order book…</p>;
  const chosen = rows.filter((order) => ticked.has(order.id));
  const shown = rows.find((order) => order.id === atId) ?? rows[0];
  const meant = chosen.length ? chosen : rows;
  return (
    <main className="flex min-h-0 flex-1 flex-col" data-state={judging ? "judging" : "idle"}>
      <h1 className="sr-only">Order book</h1>
      <OrderBar
        projectId={id}
        book={book.data}
        edits={edits}
        chosen={chosen.length}
        judging={judging}
        wrongFirst={wrongFirst}
        onWrongFirst={setWrongFirst}
        onOpen={setPanel}
        meant={meant}
      />
      <JobBar projectId={id} orders={book.data.orders} />
      {rows.length === 0 ? (
        <EmptyBook book={book.data} onOpen={setPanel} edits={edits} />
      ) : (
        <div className="flex min-h-0 flex-1 max-md:flex-col">
          <OrderGrid
            projectId={id}
            fields={book.data.fields}
            rows={rows}
            ticked={ticked}
            atId={shown?.id ?? null}
            edits={edits}
            onTicked={setTicked}
            onAt={setAtId}
            onTyping={setTyping}
            onFocus={setFrozen}
          />
          {shown ? (
            <OrderPanel
              key={shown.id}
              projectId={id}
              order={shown}
              fields={book.data.fields}
              typing={typing?.orderId === shown.id ? typing : null}
              edits={edits}
            />
          ) : null}
        </div>
      )}
      {panel === "table" ? <TablePanel projectId={id} edits={edits} onClose={() => setPanel(null)} /> : null}
      {panel === "fields" ? (
        <FieldsPanel projectId={id} scene={scene} fields={book.data.fields} onClose={() => setPanel(null)} />
      ) : null}
      {panel === "proofs" ? (
        <ProofPanel
          projectId={id}
          scene={scene}
          orders={meant}
          edits={edits}
          onClose={() => setPanel(null)}
        />
      ) : null}
      {panel === "hoopings" ? (
        <HoopingsPanel projectId={id} orders={meant} onClose={() => setPanel(null)} />
      ) : null}
    </main>
  );
}

const RANK: Record<string, number> = { stop: 0, warn: 1, fine: 2 };

/** The rows with the wrong ones first. While hands are in the table nothing jumps. */
function useSorted(book: Book | undefined, wrongFirst: boolean, frozen: boolean) {
  const orders = book?.orders;
  const [kept, setKept] = useState<string[]>([]);
  const sorted = useMemo(
    () =>
      wrongFirst && orders
        ? [...orders].sort(
            (a, b) => (RANK[a.judged?.level ?? "fine"] ?? 2) - (RANK[b.judged?.level ?? "fine"] ?? 2),
          )
        : (orders ?? []),
    [orders, wrongFirst],
  );
  const ids = sorted.map((order) => order.id).join(" ");
  if (!frozen && kept.join(" ") !== ids) setKept(sorted.map((order) => order.id));
  return useMemo(() => {
    if (!frozen) return sorted;
    const place = new Map(kept.map((id, i) => [id, i]));
    return [...sorted].sort((a, b) => (place.get(a.id) ?? kept.length) - (place.get(b.id) ?? kept.length));
  }, [sorted, frozen, kept]);
}
