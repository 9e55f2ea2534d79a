import { ArrowLeftRight, Link2, Minus, Plus, Scissors, Spline, Trash2, type LucideIcon } from "lucide-react";
import type { Edit } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { useView, type NodeRef } from "../../../state/view";

interface Props {
  elementId: string;
  /** At least one; work on a stretch takes the one that goes out from the first. */
  nodes: [NodeRef, ...NodeRef[]];
  onEdit: (edit: Edit) => void;
}

interface Work {
  label: string;
  icon: LucideIcon;
  /** Null where the chosen nodes do not do for it. */
  edit: Edit | null;
}

/** What can be done with the chosen nodes. */
export function NodeWork({ elementId, nodes, onEdit }: Props) {
  const chooseNodes = useView((view) => view.chooseNodes);
  const [first, second] = nodes;
  const stretch = { elementId, line: first.line, stretch: first.node };
  const works: Work[] = [
    { label: "Add after", icon: Plus, edit: { edit: "addNode", ...stretch, at: 0.5 } },
    { label: "Delete", icon: Trash2, edit: { edit: "removeNodes", elementId, nodes } },
    { label: "Straighten", icon: Minus, edit: { edit: "straightenStretch", ...stretch, straight: true } },
    { label: "Loosen", icon: Spline, edit: { edit: "straightenStretch", ...stretch, straight: false } },
    { label: "Split here", icon: Scissors, edit: { edit: "splitLine", elementId, node: first } },
    {
      label: "Join ends",
      icon: Link2,
      edit: second && nodes.length === 2 ? { edit: "joinLines", elementId, first, second } : null,
    },
    {
      label: "Reverse the line",
      icon: ArrowLeftRight,
      edit: { edit: "reverseLine", elementId, line: first.line },
    },
  ];
  return (
    <div role="group" aria-label="Node work" className="grid grid-cols-2 gap-1.5">
      {works.map(({ label, icon: Icon, edit }) => (
        <Button
          key={label}
          look={edit?.edit === "removeNodes" ? "trouble" : "plain"}
          className="last:col-span-2"
          disabled={!edit}
          onClick={() => {
            if (!edit) return;
            if (edit.edit === "removeNodes") chooseNodes([]);
            onEdit(edit);
          }}
        >
          <Icon size={15} aria-hidden />
          {label}
        </Button>
      ))}
    </div>
  );
}
