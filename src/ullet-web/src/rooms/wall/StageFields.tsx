import { useEdits } from "../../api/edits";
import type { Edit, StageRole } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { ThreadSwatch } from "../../parts/Swatch";
import { duration } from "../../state/lengths";
import type { ClothProps } from "./elementProps";

const STAGES: {
  role: StageRole;
  key: "placement" | "tackDown" | "cover";
  step: string;
  name: string;
  why: string;
}[] = [
  {
    role: "placement",
    key: "placement",
    step: "placement",
    name: "Placement",
    why: "shows where the cloth goes",
  },
  { role: "tackDown", key: "tackDown", step: "tack", name: "Tack-down", why: "holds the cloth" },
  { role: "cover", key: "cover", step: "cover", name: "Cover", why: "hides the raw edge" },
];

/** Every stage of the piece: on or off, its thread, its time. */
export function StageFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  return (
    <ul className="space-y-3">
      {STAGES.map(({ role, key, step, name, why }) => {
        const set = element.cloth.stages[key];
        const made = scene.steps.find((each) => each.key === `${element.id}.${step}.0`);
        const thread = scene.threads.find((known) => known.id === (made?.threadId ?? set.threadId));
        const change = (part: { off?: boolean; threadId?: string | null }): Edit =>
          role === "cover"
            ? { edit: "setCover", elementId: element.id, cover: { ...element.cloth.stages.cover, ...part } }
            : {
                edit: "setRun",
                elementId: element.id,
                stage: role,
                run: { ...element.cloth.stages[key], ...part },
              };
        return (
          <li key={key}>
            <div className="flex items-baseline gap-2">
              <label className="flex items-baseline gap-2">
                <input
                  type="checkbox"
                  className="size-4 translate-y-0.5 accent-indigo"
                  checked={!set.off}
                  onChange={(event) => void edits.edit(change({ off: !event.target.checked }))}
                />
                <span className="font-medium">{name}</span>
              </label>
              <span className="text-[13px] text-muted">{why}</span>
              {made ? <span className="ml-auto text-[13px] text-muted">{duration(made.seconds)}</span> : null}
            </div>
            {set.off ? null : (
              <Choice
                label={`Thread of the ${name.toLowerCase()}`}
                labelHidden
                className="mt-1 ml-6"
                value={set.threadId ?? ""}
                mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
                options={[
                  { value: "", label: `the project’s (${projectThread(scene, role)})` },
                  ...scene.threads.map((known) => ({ value: known.id, label: known.name })),
                ]}
                onChosen={(id) => void edits.edit(change({ threadId: id || null }))}
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}

function projectThread(scene: ClothProps["scene"], role: StageRole): string {
  const id = role === "cover" ? scene.hooping.coverThreadId : scene.hooping.lineThreadId;
  return scene.threads.find((thread) => thread.id === id)?.name ?? "none";
}
