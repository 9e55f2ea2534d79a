import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { Panel } from "../../../parts/Panel";
import { useView } from "../../../state/view";

interface Props {
  projectId: string;
  scene: Scene;
}

/** Asks what becomes of elements that are made with those to be deleted. */
export function RemovePanel({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const { removing, setRemoving } = useView();
  if (!removing) return null;
  const going = scene.elements.filter((element) => removing.includes(element.id));
  const names = going.map((element) => element.name);
  const needing = scene.elements
    .filter(
      (element) =>
        !removing.includes(element.id) && going.some((source) => source.neededBy.includes(element.id)),
    )
    .map((element) => element.name);
  const remove = (dependents: "freeze" | "release") => {
    setRemoving(null);
    void edits.edit({ edit: "removeElements", elementIds: removing, dependents });
  };
  return (
    <Panel title={`Delete ${names.join(", ")}`} onClose={() => setRemoving(null)}>
      <p>
        {needing.join(", ")} {needing.length === 1 ? "is" : "are"} made with what you delete. Freezing keeps
        the outline as it is now, as nodes; letting go takes the operation away.
      </p>
      <div className="mt-4 flex flex-wrap justify-end gap-2">
        <Button onClick={() => setRemoving(null)}>Keep it</Button>
        <Button onClick={() => remove("release")}>Let go and delete</Button>
        <Button look="main" onClick={() => remove("freeze")}>
          Freeze and delete
        </Button>
      </div>
    </Panel>
  );
}
