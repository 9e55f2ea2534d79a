import { useQueryClient } from "@tanstack/react-query";
import { answered, api, Refused, type ShelfChange } from "../../api/client";
import { keys } from "../../api/queries";
import { say } from "../../state/messages";

/** Changes what the shelf says of projects; false after a sentence said why it could not. */
export function useShelfChange() {
  const queries = useQueryClient();
  const run = async (call: () => Promise<unknown>): Promise<boolean> => {
    try {
      await call();
      return true;
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
      return false;
    } finally {
      await queries.invalidateQueries({ queryKey: keys.shelf });
    }
  };
  const change = (wish: ShelfChange) => run(() => answered(api.POST("/api/shelf/changes", { body: wish })));
  /** Throws projects into the bin, and says how they come back. */
  const binAll = async (items: { id: string; title: string }[]) => {
    const ids = items.map(({ id }) => id);
    if (!(await change({ ids, binned: true }))) return false;
    const [first] = items;
    say(
      items.length === 1 && first
        ? `${first.title} lies in the bin for 30 days.`
        : `${items.length} projects lie in the bin for 30 days.`,
      "note",
      {
        label: items.length === 1 ? "Put it back" : "Put them back",
        run: () => void change({ ids, binned: false }),
      },
    );
    return true;
  };
  return { run, change, binAll };
}
