import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useCallback, useRef } from "react";
import { say } from "../state/messages";
import { useView } from "../state/view";
import { answered, api, Refused, type Edit, type Scene } from "./client";
import { keys } from "./queries";

/** Edits wait for one another: each is made on the head that the one before it left. */
const queues = new Map<string, Promise<unknown>>();

function queued<T>(projectId: string, work: () => Promise<T>): Promise<T> {
  const before = queues.get(projectId) ?? Promise.resolve();
  const next = before.then(work, work);
  queues.set(
    projectId,
    next.catch(() => undefined),
  );
  return next;
}

function headOf(queries: QueryClient, projectId: string): number {
  return queries.getQueryData<Scene>(keys.scene(projectId))?.head ?? 0;
}

async function carryOut(queries: QueryClient, projectId: string, change: (head: number) => Promise<unknown>) {
  try {
    await change(headOf(queries, projectId));
    return true;
  } catch (wrong) {
    say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    return false;
  } finally {
    await queries.invalidateQueries({ queryKey: keys.scene(projectId) });
    useView.getState().setPreview(null);
  }
}

/** Changes of one project: each resolves to false when the server refused, after its sentence was shown. */
export function useEdits(projectId: string) {
  const queries = useQueryClient();
  const previews = useRef<AbortController | null>(null);
  const path = { params: { path: { id: projectId } } };

  const run = (change: (head: number) => Promise<unknown>) => {
    previews.current?.abort();
    const { addPending } = useView.getState();
    addPending(1);
    return queued(projectId, () => carryOut(queries, projectId, change)).finally(() => addPending(-1));
  };

  const edit = (wish: Edit) =>
    run((head) => answered(api.POST("/api/projects/{id}/edits", { ...path, body: { head, edit: wish } })));

  const undo = () =>
    run((head) => answered(api.POST("/api/projects/{id}/undo", { ...path, body: { head } })));

  const redo = () =>
    run((head) => answered(api.POST("/api/projects/{id}/redo", { ...path, body: { head } })));

  const mend = (code: string, elementId: string | null | undefined) =>
    run((head) =>
      answered(
        api.POST("/api/projects/{id}/mends", { ...path, body: { head, code, elementId: elementId ?? null } }),
      ),
    );

  /** Draws an edit without saving it; the latest one wins. */
  const preview = useCallback(
    async (wish: Edit) => {
      previews.current?.abort();
      const control = new AbortController();
      previews.current = control;
      try {
        const answer = await answered(
          api.POST("/api/projects/{id}/edits", {
            params: { path: { id: projectId }, query: { preview: true } },
            body: { head: headOf(queries, projectId), edit: wish },
            signal: control.signal,
          }),
        );
        if (!control.signal.aborted) useView.getState().setPreview(answer.scene ?? null);
      } catch (wrong) {
        if (wrong instanceof Refused) say(wrong.message, "trouble");
      }
    },
    [projectId, queries],
  );

  /** Draws what is saved again, whatever was asked to be drawn before. */
  const forgetPreview = () => {
    previews.current?.abort();
    useView.getState().setPreview(null);
  };

  return { edit, undo, redo, mend, preview, forgetPreview };
}

export type Edits = ReturnType<typeof useEdits>;
