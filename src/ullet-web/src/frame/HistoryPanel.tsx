import { useQueryClient } from "@tanstack/react-query";
import { Bookmark, History } from "lucide-react";
import { useState } from "react";
import { answered, api, Refused, type Revision, type Scene } from "../api/client";
import { useEdits } from "../api/edits";
import { useRevisions } from "../api/queries";
import { Button } from "../parts/Button";
import { Segments } from "../parts/fields/Segments";
import { TextField } from "../parts/fields/TextField";
import { Panel } from "../parts/Panel";
import { useMore } from "../parts/useMore";
import { say } from "../state/messages";
import { whenText } from "../state/when";
import { useWhenAsked } from "../verbs/asks";

interface Props {
  projectId: string;
  scene: Scene;
}

/** A project's history: every state as a picture, with the way back to it. */
export function HistoryPanel(props: Props) {
  const [open, setOpen] = useState(false);
  useWhenAsked("history", () => setOpen(true));
  return open ? <States {...props} onClose={() => setOpen(false)} /> : null;
}

/** So many pictures at a time. */
const STATES_AT_ONCE = 24;

function States({ projectId, scene, onClose }: Props & { onClose: () => void }) {
  const [named, setNamed] = useState(false);
  const revisions = useRevisions(projectId, scene.head);
  const all = revisions.data ?? [];
  const shown = named ? all.filter((state) => state.name) : all;
  const [states, sentinel] = useMore(shown, STATES_AT_ONCE);
  return (
    <Panel title="History" size="large" onClose={onClose}>
      <div className="mb-3 flex flex-wrap items-end gap-4">
        <p className="mr-auto max-w-[520px] text-[14px] text-muted">
          Newest first. Going back makes the old state the newest one; nothing that came after it is lost, and
          undo leads back here.
        </p>
        <Segments
          label="Which states"
          value={named ? "named" : "all"}
          options={[
            { value: "all", label: `All ${all.length}` },
            { value: "named", label: "With names" },
          ]}
          onChosen={(value) => setNamed(value === "named")}
        />
      </div>
      {revisions.isError ? <p className="text-madder">{revisions.error.message}</p> : null}
      {named && shown.length === 0 && revisions.data ? (
        <p className="py-8 text-center text-muted">
          No state has a name yet. Name one, and it is kept for good.
        </p>
      ) : null}
      <div className="min-h-0 flex-1 overflow-y-auto pr-1" tabIndex={0} role="region" aria-label="States">
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(205px,1fr))] gap-3">
          {states.map((state) => (
            <State key={state.id} projectId={projectId} scene={scene} state={state} onGone={onClose} />
          ))}
        </ul>
        {sentinel}
      </div>
    </Panel>
  );
}

interface StateProps extends Props {
  state: Revision;
  onGone: () => void;
}

function State({ projectId, state, onGone }: StateProps) {
  const queries = useQueryClient();
  const edits = useEdits(projectId);
  const call = async (name: string) => {
    try {
      await answered(
        api.PUT("/api/projects/{id}/revisions/{revision}/name", {
          params: { path: { id: projectId, revision: state.id } },
          body: { name },
        }),
      );
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    } finally {
      await queries.invalidateQueries({ queryKey: ["revisions", projectId] });
    }
  };
  const what = state.name ?? state.label;
  return (
    <li
      data-now={state.isHead}
      className="flex flex-col overflow-hidden rounded-card border border-line bg-white data-[now=true]:border-indigo data-[now=true]:ring-1 data-[now=true]:ring-indigo"
    >
      <span className="flex h-[132px] items-center justify-center bg-[#dfe4e9] p-2">
        <img
          loading="lazy"
          src={`/api/projects/${projectId}/revisions/${state.id}/picture.png`}
          alt={`After “${state.label}”`}
          className="max-h-full max-w-full rounded shadow"
        />
      </span>
      <div className="flex flex-1 flex-col gap-1 px-2.5 py-2">
        <p className="text-[14px] leading-4.5 font-medium" data-undone={!state.isOnTheWay}>
          {state.label}
        </p>
        <p className="text-[13px] text-muted">
          {whenText(state.at)}
          {state.isHead ? " · now" : state.isOnTheWay ? "" : " · was undone"}
        </p>
        <div className="flex items-center gap-1">
          <Bookmark size={14} aria-hidden className={state.name ? "text-indigo" : "text-field"} />
          <TextField
            label={`Name of the state after ${state.label}`}
            labelHidden
            quiet
            placeholder="no name"
            className="h-6! text-[14px]"
            value={state.name ?? ""}
            onTyped={call}
          />
        </div>
        {state.isHead ? null : (
          <Button
            className="mt-auto self-start"
            aria-label={`Go back to this: ${what}`}
            onClick={() =>
              void edits.goBack(state.id).then((ok) => {
                if (!ok) return;
                say(`${what}: that state is back. Undo leads to where you were.`);
                onGone();
              })
            }
          >
            <History size={15} aria-hidden />
            Go back to this
          </Button>
        )}
      </div>
    </li>
  );
}
