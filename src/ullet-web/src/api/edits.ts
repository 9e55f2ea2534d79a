import { useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useMemo, useRef } from "react";
import { say } from "../state/messages";
import { useView } from "../state/view";
import { answered, api, Refused, type Edit, type Scene } from "./client";
import { fetchScene, keys } from "./queries";

/** An edit, or what makes one of the scene as it stands when its turn has come: so that two changes made in the same breath do not
 * undo one another. */
export type Wish = Edit | ((now: Scene) => Edit);

/** A change of a head. */
type Change = (scene: Scene) => Promise<{ scene: Scene | null }>;

/** How often a change is made anew on a head that somebody else has moved. */
const TRIES = 5;

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

/** The scene of the newest head that is known. */
async function newest(queries: QueryClient, projectId: string): Promise<Scene> {
  return queries.getQueryData<Scene>(keys.scene(projectId)) ?? (await fetchScene(queries, projectId));
}

/** Makes a change on the newest head; on one that was moved meanwhile it is made again. */
async function made(queries: QueryClient, projectId: string, change: Change) {
  for (let left = TRIES; ; left--) {
    try {
      const { scene } = await change(await newest(queries, projectId));
      // A scene that is being fetched was asked for before this change.
      await queries.cancelQueries({ queryKey: keys.scene(projectId) });
      if (scene) queries.setQueryData(keys.scene(projectId), scene);
      else await fetchScene(queries, projectId);
      return;
    } catch (wrong) {
      if (!(wrong instanceof Refused) || wrong.code !== "head-stale" || left === 1) throw wrong;
      await fetchScene(queries, projectId);
    }
  }
}

/** Makes a change when its turn has come; what can't be made says why. */
function carriedOut(
  queries: QueryClient,
  projectId: string,
  change: Change,
  meant?: Change,
): Promise<boolean> {
  const { addPending, setPreview } = useView.getState();
  addPending(1);
  return queued(projectId, async () => {
    try {
      await made(queries, projectId, change);
      return true;
    } catch (wrong) {
      const isOffline = wrong instanceof Refused && wrong.code === "offline";
      say(
        wrong instanceof Refused ? wrong.message : "That could not be done.",
        "trouble",
        isOffline
          ? { label: "Try again", run: () => void carriedOut(queries, projectId, change) }
          : meant && wrong instanceof Refused && wrong.code === "fill-large"
            ? { label: "Fill it all the same", run: () => void carriedOut(queries, projectId, meant) }
            : undefined,
      );
      return false;
    } finally {
      setPreview(null);
    }
  }).finally(() => addPending(-1));
}

function makeOf(wish: Wish, scene: Scene): Edit {
  return typeof wish === "function" ? wish(scene) : wish;
}

/** The same, and a very large fill is meant. */
function largeMeant(one: Edit): Edit {
  return one.edit === "setFilled" ||
    one.edit === "setMaking" ||
    one.edit === "placeElement" ||
    one.edit === "placeElements" ||
    one.edit === "setTrait"
    ? { ...one, isLargeMeant: true }
    : one;
}

/** Changes of one project: each resolves to false when it could not be made, after a sentence said why. */
export function useEdits(projectId: string) {
  const queries = useQueryClient();
  const previews = useRef<AbortController | null>(null);

  return useMemo(() => {
    const run = (change: Change, meant?: Change) => {
      previews.current?.abort();
      return carriedOut(queries, projectId, change, meant);
    };
    const path = { params: { path: { id: projectId } } };
    const sent = (scene: Scene, one: Edit) =>
      answered(api.POST("/api/projects/{id}/edits", { ...path, body: { head: scene.head, edit: one } }));
    const edit = (wish: Wish) =>
      run(
        (scene) => sent(scene, makeOf(wish, scene)),
        (scene) => sent(scene, largeMeant(makeOf(wish, scene))),
      );
    /** Makes an edit that adds elements, and selects them. */
    const add = async (wish: Edit) => {
      let added: string[] = [];
      const ok = await run(async (before) => {
        const answer = await answered(
          api.POST("/api/projects/{id}/edits", { ...path, body: { head: before.head, edit: wish } }),
        );
        const known = new Set(before.elements.map((element) => element.id));
        added = answer.scene?.elements.map((element) => element.id).filter((id) => !known.has(id)) ?? [];
        return answer;
      });
      if (added.length) useView.getState().select(added);
      return ok;
    };
    /** Makes an edit that adds a step, and points at it. */
    const addStep = async (wish: Edit) => {
      let added: string | undefined;
      const ok = await run(async (before) => {
        const answer = await answered(
          api.POST("/api/projects/{id}/edits", { ...path, body: { head: before.head, edit: wish } }),
        );
        const known = new Set(before.steps.map((step) => step.key));
        added = answer.scene?.steps.find((step) => !known.has(step.key))?.key;
        return answer;
      });
      if (added) useView.getState().pointAt(added);
      return ok;
    };
    const undo = () =>
      run(({ head }) => answered(api.POST("/api/projects/{id}/undo", { ...path, body: { head } })));
    const redo = () =>
      run(({ head }) => answered(api.POST("/api/projects/{id}/redo", { ...path, body: { head } })));
    /** Goes back to a state of the history. */
    const goBack = (revision: number) =>
      run(({ head }) =>
        answered(
          api.POST("/api/projects/{id}/revisions/{revision}/restore", {
            params: { path: { id: projectId, revision } },
            body: { head },
          }),
        ),
      );
    const mend = (wish: { code: string; elementId?: string | null; mend: number; all?: boolean }) =>
      run(({ head }) =>
        answered(
          api.POST("/api/projects/{id}/mends", {
            ...path,
            body: { head, ...wish },
          }),
        ),
      );

    /** Draws an edit without saving it; the latest one wins. */
    const preview = async (wish: Wish) => {
      previews.current?.abort();
      const control = new AbortController();
      previews.current = control;
      try {
        const scene = await newest(queries, projectId);
        const answer = await answered(
          api.POST("/api/projects/{id}/edits", {
            params: { path: { id: projectId }, query: { preview: true } },
            body: { head: scene.head, edit: makeOf(wish, scene) },
            signal: control.signal,
          }),
        );
        if (!control.signal.aborted) useView.getState().setPreview(answer.scene ?? null);
      } catch (wrong) {
        if (wrong instanceof Refused) say(wrong.message, "trouble");
      }
    };

    /** Draws what is saved again, whatever was asked to be drawn before. */
    const forgetPreview = () => {
      previews.current?.abort();
      useView.getState().setPreview(null);
    };

    return { edit, add, addStep, undo, redo, goBack, mend, preview, forgetPreview };
  }, [projectId, queries]);
}

export type Edits = ReturnType<typeof useEdits>;
