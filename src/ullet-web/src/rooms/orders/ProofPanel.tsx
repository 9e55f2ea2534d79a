import { useState } from "react";
import type { Scene } from "../../api/client";
import { Refused, savePosted } from "../../api/client";
import type { BookOrder, useBookEdits } from "../../api/orders";
import { FormPanel } from "../../parts/FormPanel";
import { Choice } from "../../parts/fields/Choice";
import { Tick } from "../../parts/fields/Tick";

interface Props {
  projectId: string;
  scene: Scene;
  orders: BookOrder[];
  edits: ReturnType<typeof useBookEdits>;
  onClose: () => void;
}

/** Proof sheets of orders: which paper, how many on a page, spelled or not. */
export function ProofPanel({ projectId, scene, orders, edits, onClose }: Props) {
  const [paper, setPaper] = useState(scene.unit === "inch" ? "letter" : "a4");
  const [layout, setLayout] = useState("one");
  const [spelled, setSpelled] = useState(true);
  const [mark, setMark] = useState(true);
  const [sending, setSending] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  const able = orders.filter((order) => order.judged && order.judged.stitches > 0);
  const print = async () => {
    setSending(true);
    try {
      await savePosted(`/api/projects/${projectId}/orders/proofs.pdf`, {
        ids: able.map((order) => order.id),
        paper,
        contact: layout === "twelve",
        spelled,
        mark,
      });
      await edits.refresh();
      onClose();
    } catch (wrong) {
      setTrouble(wrong instanceof Refused ? wrong.message : "The proofs could not be made.");
    } finally {
      setSending(false);
    }
  };
  return (
    <FormPanel
      title={able.length === 1 ? "Proof of 1 order" : `Proofs of ${able.length} orders`}
      action={sending ? "Drawing the proofs…" : "Save the proofs"}
      disabled={sending || able.length === 0}
      onSent={() => void print()}
      onClose={onClose}
    >
      <div className="grid grid-cols-2 gap-3">
        <Choice
          label="On a page"
          value={layout}
          options={[
            { value: "one", label: "One order, large" },
            { value: "twelve", label: "Twelve orders" },
          ]}
          onChosen={setLayout}
        />
        <Choice
          label="Paper"
          value={paper}
          options={[
            { value: "a4", label: "A4" },
            { value: "letter", label: "Letter" },
          ]}
          onChosen={setPaper}
        />
      </div>
      <Tick label="Spell everything letter by letter" checked={spelled} onChanged={setSpelled} />
      <Tick
        label="Note new orders as proofed"
        about="They hold to today’s state of the project, which the proof shows."
        checked={mark}
        onChanged={setMark}
      />
      {able.length < orders.length ? (
        <p className="text-[14px] text-muted">
          {orders.length - able.length} of {orders.length} are left out: they can’t be made as they are, or
          are not judged yet.
        </p>
      ) : null}
      {trouble ? <p className="text-madder">{trouble}</p> : null}
    </FormPanel>
  );
}
