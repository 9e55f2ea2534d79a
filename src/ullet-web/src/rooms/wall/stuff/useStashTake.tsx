import { useQueryClient } from "@tanstack/react-query";
import { useState, type ReactNode } from "react";
import type { Scene, StashCloth, StashThread } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import { keys, useScene } from "../../../api/queries";
import { ClothPicker, ThreadPicker } from "../../../parts/stuff/StashPicker";

/** The last row of a list of cloths or threads. */
export const FROM_STASH = { value: "from-stash", label: "search, and the stash …" };

interface Taken {
  open: () => void;
  panel: ReactNode;
}

/** Searches the project's own threads and the stash where a list is not enough: the panel, and what opens it. */
export function useThreadTake(projectId: string, onTaken: (id: string) => unknown): Taken {
  const { asking, setAsking, take } = useTake(projectId, "threads", onTaken);
  const own = useScene(projectId).data?.threads;
  const edits = useEdits(projectId);
  return {
    open: () => setAsking(true),
    panel: asking ? (
      <ThreadPicker
        title="Choose a thread"
        own={own}
        onOwn={(id) => {
          setAsking(false);
          return onTaken(id);
        }}
        onChosen={(thread) => take(thread, edits.edit({ edit: "takeThread", stashId: thread.id }))}
        onClose={() => setAsking(false)}
      />
    ) : null,
  };
}

/** The same for cloths. */
export function useClothTake(projectId: string, onTaken: (id: string) => unknown): Taken {
  const { asking, setAsking, take } = useTake(projectId, "cloths", onTaken);
  const own = useScene(projectId).data?.cloths;
  const edits = useEdits(projectId);
  return {
    open: () => setAsking(true),
    panel: asking ? (
      <ClothPicker
        title="Choose a cloth"
        own={own}
        onOwn={(id) => {
          setAsking(false);
          return onTaken(id);
        }}
        onChosen={(cloth) => take(cloth, edits.edit({ edit: "takeCloth", stashId: cloth.id }))}
        onClose={() => setAsking(false)}
      />
    ) : null,
  };
}

/** What a copy has from the stash, by which it is found again. */
const FACTS = {
  threads: ["name", "colour", "kind", "number", "maker"],
  cloths: ["name", "colour", "kind", "texture", "isDeepPile", "patternColour"],
} as const;

function useTake(projectId: string, what: "threads" | "cloths", onTaken: (id: string) => unknown) {
  const queries = useQueryClient();
  const [asking, setAsking] = useState(false);
  const own = () => queries.getQueryData<Scene>(keys.scene(projectId))?.[what] ?? [];
  const take = async (thing: StashThread | StashCloth, taking: Promise<boolean>) => {
    if (!(await taking)) return;
    setAsking(false);
    // The newest that is like it: one that the project had already is not taken twice.
    const facts = (of: object) =>
      FACTS[what].map((key) => (of as Record<string, unknown>)[key] ?? null).join("\n");
    const copy = own().findLast((one) => facts(one) === facts(thing));
    if (copy) await onTaken(copy.id);
  };
  return { asking, setAsking, take };
}
