import { Copy, Trash2 } from "lucide-react";
import { useEdits } from "../../api/edits";
import type { Element, Scene } from "../../api/client";
import { Button } from "../../parts/Button";
import { useView } from "../../state/view";
import { wallEvents } from "./wallEvents";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

/** The card of several selected pieces. */
export function SelectionCard({ projectId, scene, chosen }: Props) {
  const edits = useEdits(projectId);
  const select = useView((view) => view.select);
  const ids = chosen.map((element) => element.id);

  const duplicate = () => {
    const before = scene.elements.map((each) => each.id);
    void wallEvents.adding(projectId, before, () =>
      edits.edit({ edit: "duplicateElements", elementIds: ids }),
    );
  };

  return (
    <div className="space-y-3 p-4">
      <h2 className="font-head text-[17px] font-semibold">{chosen.length} pieces</h2>
      <ul className="divide-y divide-line rounded-card border border-line">
        {chosen.map((element) => (
          <li key={element.id}>
            <button
              type="button"
              className="w-full px-3 py-1.5 text-left hover:bg-chalk"
              onClick={() => select([element.id])}
            >
              {element.name}
            </button>
          </li>
        ))}
      </ul>
      <p className="text-[14px] text-muted">Drag to move them together, or use the arrow keys.</p>
      <div className="flex gap-2">
        <Button onClick={duplicate}>
          <Copy size={16} aria-hidden />
          Duplicate
        </Button>
        <Button look="trouble" onClick={() => void edits.edit({ edit: "removeElements", elementIds: ids })}>
          <Trash2 size={16} aria-hidden />
          Delete
        </Button>
      </div>
    </div>
  );
}
