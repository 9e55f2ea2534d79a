import { useQueryClient } from "@tanstack/react-query";
import { answered, api, Refused, type StashCloth, type StashThread } from "../../api/client";
import { keys } from "../../api/queries";
import { say } from "../../state/messages";

/** Changes of the stash; each gives why it could not be made, or null. */
export function useStash() {
  const queries = useQueryClient();
  const run = async (call: () => Promise<unknown>): Promise<string | null> => {
    try {
      await call();
      return null;
    } catch (wrong) {
      return wrong instanceof Refused ? wrong.message : "That could not be done.";
    } finally {
      await queries.invalidateQueries({ queryKey: keys.stash });
    }
  };
  const keepCloth = (cloth: StashCloth) =>
    run(() => answered(api.POST("/api/stash/cloths", { body: cloth })));
  const keepThread = (thread: StashThread) =>
    run(() => answered(api.POST("/api/stash/threads", { body: thread })));
  const told = async (why: Promise<string | null>) => {
    const wrong = await why;
    if (wrong) say(wrong, "trouble");
    return wrong === null;
  };
  const path = (id: string) => ({ params: { path: { id } } });
  /** Takes a cloth out, and says how it comes back. */
  const removeCloth = async (cloth: StashCloth) => {
    if (await told(run(() => answered(api.DELETE("/api/stash/cloths/{id}", path(cloth.id))))))
      say(`${cloth.name} is out of the stash; projects keep theirs.`, "note", {
        label: "Put it back",
        run: () => void told(keepCloth({ ...cloth, id: "" })),
      });
  };
  /** Takes a thread out, and says how it comes back. */
  const removeThread = async (thread: StashThread) => {
    if (await told(run(() => answered(api.DELETE("/api/stash/threads/{id}", path(thread.id))))))
      say(`${thread.name} is out of the stash; projects keep theirs.`, "note", {
        label: "Put it back",
        run: () => void told(keepThread({ ...thread, id: "" })),
      });
  };
  return { keepCloth, keepThread, removeCloth, removeThread };
}
