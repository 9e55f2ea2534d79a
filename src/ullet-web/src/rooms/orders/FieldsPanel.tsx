import { ArrowDown, ArrowUp, Pencil, Trash2 } from "lucide-react";
import { useState } from "react";
import type { Scene } from "../../api/client";
import { useEdits } from "../../api/edits";
import type { BookField, FillIn } from "../../api/orders";
import { Button } from "../../parts/Button";
import { IconButton } from "../../parts/IconButton";
import { Panel } from "../../parts/Panel";
import { AddField } from "./AddField";
import { FieldForm } from "./FieldForm";

interface Props {
  projectId: string;
  scene: Scene;
  fields: BookField[];
  onClose: () => void;
}

/** What of the project changes from order to order: marked, arranged, and how words are fitted. */
export function FieldsPanel({ projectId, scene, fields, onClose }: Props) {
  const edits = useEdits(projectId);
  const [openId, setOpenId] = useState<string | null>(null);
  const own = fields.filter((field) => !field.isOfPattern).map((field) => field.id);
  const arrange = (id: string, by: number) => {
    const at = own.indexOf(id);
    const next = own.filter((each) => each !== id);
    next.splice(at + by, 0, id);
    void edits.edit({ edit: "arrangeFillIns", fillInIds: next });
  };
  const mark = (fillIn: FillIn) => edits.edit({ edit: "markFillIn", fillIn });
  return (
    <Panel title="What changes from order to order" size="large" onClose={onClose}>
      <div className="min-h-0 flex-1 space-y-4 overflow-y-auto pr-1">
        {fields.length ? (
          <ul className="divide-y divide-line rounded-card border border-line">
            {fields.map((field) => (
              <li key={field.id} className="px-3 py-2">
                <div className="flex items-center gap-3">
                  <span className="min-w-0 flex-1">
                    <span className="font-semibold">{field.label}</span>
                    <span className="ml-2 text-[14px] text-muted">
                      {field.kindName}
                      {field.isOfPattern ? ", the pattern’s own" : ""}
                      {field.group ? `, in ${field.group}` : ""}
                      {field.options.length
                        ? `: ${field.options.slice(0, 5).join(", ")}${field.options.length > 5 ? "…" : ""}`
                        : ""}
                      {field.example ? `; now ${field.example}` : ""}
                    </span>
                  </span>
                  {own.indexOf(field.id) > 0 ? (
                    <IconButton label={`Earlier: ${field.label}`} onClick={() => arrange(field.id, -1)}>
                      <ArrowUp size={16} aria-hidden />
                    </IconButton>
                  ) : null}
                  {own.includes(field.id) && own.indexOf(field.id) < own.length - 1 ? (
                    <IconButton label={`Later: ${field.label}`} onClick={() => arrange(field.id, 1)}>
                      <ArrowDown size={16} aria-hidden />
                    </IconButton>
                  ) : null}
                  <IconButton
                    label={`How it is filled in: ${field.label}`}
                    onClick={() => setOpenId(openId === field.id ? null : field.id)}
                  >
                    <Pencil size={16} aria-hidden />
                  </IconButton>
                  {field.isOfPattern ? null : (
                    <IconButton
                      label={`The same in every order: ${field.label}`}
                      onClick={() => void edits.edit({ edit: "unmarkFillIn", fillInId: field.id })}
                    >
                      <Trash2 size={16} aria-hidden />
                    </IconButton>
                  )}
                </div>
                {openId === field.id ? (
                  <FieldForm
                    fillIn={field.fillIn}
                    scene={scene}
                    isOfPattern={field.isOfPattern}
                    onTaken={async (fillIn) => {
                      // A pattern's own gets an id of the project's once more is said of it.
                      if (await mark(field.isOfPattern ? { ...fillIn, id: "" } : fillIn)) setOpenId(null);
                    }}
                  />
                ) : null}
              </li>
            ))}
          </ul>
        ) : (
          <p className="text-muted">Nothing changes yet: every order would be the same.</p>
        )}
        <AddField projectId={projectId} scene={scene} fields={fields} />
      </div>
      <div className="flex justify-end pt-3">
        <Button look="main" onClick={onClose}>
          Done
        </Button>
      </div>
    </Panel>
  );
}
