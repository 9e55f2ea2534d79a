import { useState } from "react";
import { useEdits } from "../../api/edits";
import type { Element, Operation } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/Choice";
import { useView } from "../../state/view";
import { fresh } from "./operations/kinds";

interface Props {
  projectId: string;
  chosen: Element[];
}

const WAYS: { kind: Operation["operation"]; label: string }[] = [
  { kind: "carve", label: "Carve it" },
  { kind: "join", label: "Join them" },
  { kind: "keepOverlap", label: "Keep overlap" },
];

/** Changes one of several selected elements with the others. */
export function CombineFields({ projectId, chosen }: Props) {
  const edits = useEdits(projectId);
  const select = useView((view) => view.select);
  const [kept, setKept] = useState("");
  const key = chosen.find((element) => element.id === kept) ?? chosen[0];
  if (!key) return null;
  const combine = async (kind: Operation["operation"]) => {
    const others = chosen.filter((element) => element.id !== key.id).map((element) => element.id);
    const operation = fresh(kind, others);
    if (await edits.edit({ edit: "addOperation", elementId: key.id, operation })) select([key.id]);
  };
  return (
    <>
      <Choice
        label="Element that changes"
        value={key.id}
        options={chosen.map((element) => ({ value: element.id, label: element.name }))}
        onChosen={setKept}
      />
      <div className="flex flex-wrap gap-2">
        {WAYS.map(({ kind, label }) => (
          <Button key={kind} onClick={() => void combine(kind)}>
            {label}
          </Button>
        ))}
      </div>
      <p className="text-[13px] text-muted">The others stay as they are; what is made follows them.</p>
    </>
  );
}
