import { Circle, Diamond, Spline, Square } from "lucide-react";
import { useEdits } from "../../../api/edits";
import { useForm } from "../../../api/queries";
import type { Edit, NodeKind } from "../../../api/client";
import { place } from "../../../canvas/nodePainter";
import { Button } from "../../../parts/Button";
import { LengthField } from "../../../parts/fields/LengthField";
import { useView } from "../../../state/view";
import type { ElementProps } from "../card/elementProps";
import { formOf } from "../forms";
import { NodeWork } from "./NodeWork";

const KINDS: { kind: NodeKind; label: string; icon: typeof Square }[] = [
  { kind: "corner", label: "Corner", icon: Square },
  { kind: "smooth", label: "Smooth", icon: Circle },
  { kind: "symmetric", label: "Symmetric", icon: Diamond },
];

/** Works on the nodes of a drawn element, by hand on the wall or by these buttons. */
export function NodeFields({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const { tool, setTool, nodes, chooseNodes } = useView();
  const working = tool === "nodes";
  const form = useForm(projectId, working ? element.id : null, scene.head).data;
  const change = (edit: Edit) => edits.edit(edit);

  if (!element.isDrawn)
    return (
      <>
        <p className="text-[13px] text-muted">{formOf(element).frozen}</p>
        <Button
          disabled={element.isLocked}
          onClick={() => change({ edit: "freezeElement", elementId: element.id, keepsOperations: true })}
        >
          <Spline size={16} aria-hidden />
          Turn into nodes
        </Button>
      </>
    );
  if (!working || !form)
    return (
      <Button disabled={element.isLocked} onClick={() => setTool("nodes")}>
        <Spline size={16} aria-hidden />
        Edit nodes
      </Button>
    );

  const all = form.lines.flatMap((line, l) => line.nodes.map((_, n) => ({ line: l, node: n })));
  const [first, ...others] = nodes;
  const own = first ? form.lines[first.line]?.nodes[first.node] : undefined;
  const at = first ? all.findIndex((each) => each.line === first.line && each.node === first.node) : -1;
  const go = (by: number) => {
    const next = all[(at + by + all.length) % all.length];
    if (next) chooseNodes([next]);
  };
  const elementId = element.id;
  return (
    <>
      <div className="flex items-center gap-1.5">
        <Button onClick={() => go(-1)}>Before</Button>
        <span className="flex-1 text-center text-[14px]" aria-live="polite">
          {nodes.length > 1
            ? `${nodes.length} nodes`
            : first
              ? `Node ${at + 1} of ${all.length}`
              : `${all.length} nodes`}
        </span>
        <Button onClick={() => go(1)}>After</Button>
      </div>
      {first && own ? (
        <>
          {nodes.length === 1 ? (
            <div className="grid grid-cols-2 gap-1.5">
              <LengthField
                label="Node across"
                value={place(own.at).x}
                unit={scene.unit}
                onTyped={(x) => change({ edit: "moveNodes", elementId, nodes, x: x - place(own.at).x, y: 0 })}
              />
              <LengthField
                label="Node down"
                value={place(own.at).y}
                unit={scene.unit}
                onTyped={(y) => change({ edit: "moveNodes", elementId, nodes, x: 0, y: y - place(own.at).y })}
              />
            </div>
          ) : null}
          <div role="group" aria-label="Kind of node" className="grid grid-cols-3 gap-1.5">
            {KINDS.map(({ kind, label, icon: Icon }) => (
              <Button
                key={kind}
                aria-pressed={nodes.length === 1 && own.kind === kind}
                className="gap-1! px-1! text-[13px]! aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
                onClick={() => change({ edit: "setNodeKind", elementId, nodes, kind })}
              >
                <Icon size={13} aria-hidden />
                {label}
              </Button>
            ))}
          </div>
          <NodeWork elementId={elementId} nodes={[first, ...others]} onEdit={change} />
        </>
      ) : (
        <p className="text-[13px] text-muted">
          Take a node on the wall, or go to one with the buttons. Double-click the line to add a node.
        </p>
      )}
      <Button look="main" className="w-full" onClick={() => setTool("select")}>
        Done with nodes
      </Button>
    </>
  );
}
