import { useEdits } from "../api/edits";
import { answered, api, Refused, type Scene } from "../api/client";
import { isMade, type Element } from "../api/elements";
import { keepClip, keptClip } from "../state/clip";
import { say } from "../state/messages";
import { useView } from "../state/view";

/** Something that can be done with what is selected. */
export interface Offer {
  id: string;
  label: string;
  keys?: string;
  disabled?: boolean;
  run: () => void;
}

/** What can be done with the selection: the card, the menu and the keys all take it from here. */
export function useOffers(projectId: string, scene: Scene | undefined, chosen: Element[]) {
  const edits = useEdits(projectId);
  const ids = chosen.map((element) => element.id);
  const none = ids.length === 0;
  const first = chosen[0];
  const locked = chosen.length > 0 && chosen.every((element) => element.isLocked);
  const hidden = chosen.length > 0 && chosen.every((element) => element.isHidden);
  const drawn = chosen.length > 0 && chosen.every((element) => isMade(element, "construction"));
  const grouped = chosen.some((element) => element.groupId != null);

  const copy = async () => {
    try {
      const clip = await answered(
        api.GET("/api/projects/{id}/clip", {
          params: { path: { id: projectId }, query: { elements: ids.join(",") } },
        }),
      );
      keepClip(clip);
      say(ids.length === 1 ? `${first?.name} is copied.` : `${ids.length} elements are copied.`);
      return true;
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be copied.", "trouble");
      return false;
    }
  };

  const paste = () => {
    const clip = keptClip();
    if (!clip) {
      say("Nothing has been copied yet.");
      return;
    }
    void edits.add({ edit: "pasteElements", clip });
  };

  const needed = chosen.some((element) => element.neededBy.some((id) => !ids.includes(id)));
  const remove = () => {
    if (needed) useView.getState().setRemoving(ids);
    else void edits.edit({ edit: "removeElements", elementIds: ids, dependents: "refuse" });
  };

  const restack = (place: number) =>
    first ? void edits.edit({ edit: "restackElement", elementId: first.id, place }) : undefined;
  const at = scene?.elements.findIndex((element) => element.id === first?.id) ?? 0;
  const top = (scene?.elements.length ?? 1) - 1;
  const single = chosen.length === 1;

  const offers: Record<OfferId, Offer> = {
    copy: { id: "copy", label: "Copy", keys: "Ctrl+C", disabled: none, run: () => void copy() },
    cut: {
      id: "cut",
      label: "Cut out and keep",
      keys: "Ctrl+X",
      disabled: none || locked,
      run: () =>
        void copy().then((ok) => {
          if (ok) remove();
        }),
    },
    paste: { id: "paste", label: "Paste", keys: "Ctrl+V", run: paste },
    duplicate: {
      id: "duplicate",
      label: "Duplicate",
      keys: "Ctrl+D",
      disabled: none,
      run: () => void edits.add({ edit: "duplicateElements", elementIds: ids }),
    },
    remove: {
      id: "remove",
      label: "Delete",
      keys: "Delete",
      disabled: none || locked,
      run: remove,
    },
    up: {
      id: "up",
      label: "Up the stack",
      keys: "Alt+↑ in the stack",
      disabled: !single || at >= top,
      run: () => restack(at + 1),
    },
    down: {
      id: "down",
      label: "Down the stack",
      keys: "Alt+↓ in the stack",
      disabled: !single || at <= 0,
      run: () => restack(at - 1),
    },
    group: {
      id: "group",
      label: "Group",
      keys: "Ctrl+G",
      disabled: chosen.length < 2,
      run: () => edits.edit({ edit: "groupElements", elementIds: ids, together: true }),
    },
    ungroup: {
      id: "ungroup",
      label: "Take the group apart",
      keys: "Ctrl+Shift+G",
      disabled: !grouped,
      run: () => edits.edit({ edit: "groupElements", elementIds: ids, together: false }),
    },
    lock: {
      id: "lock",
      label: locked ? "Unlock" : "Lock",
      disabled: none,
      run: () => edits.edit({ edit: "lockElements", elementIds: ids, locked: !locked }),
    },
    hide: {
      id: "hide",
      label: hidden ? "Show" : "Hide",
      disabled: none,
      run: () => edits.edit({ edit: "hideElements", elementIds: ids, hidden: !hidden }),
    },
    construction: {
      id: "construction",
      label: drawn ? "Have it sewn again" : "Make a construction shape",
      disabled: none || locked,
      run: () => edits.edit({ edit: "makeConstruction", elementIds: ids, isConstruction: !drawn }),
    },
    flipAcross: {
      id: "flipAcross",
      label: "Flip left to right",
      disabled: none || locked,
      run: () => edits.edit({ edit: "flipElements", elementIds: ids, direction: "across" }),
    },
    flipDown: {
      id: "flipDown",
      label: "Flip top to bottom",
      disabled: none || locked,
      run: () => edits.edit({ edit: "flipElements", elementIds: ids, direction: "down" }),
    },
    centre: {
      id: "centre",
      label: "Centre in the hoop",
      disabled: none || locked,
      run: () => edits.edit({ edit: "centreElements", elementIds: ids, asOne: true }),
    },
    all: {
      id: "all",
      label: "Select everything",
      keys: "Ctrl+A",
      disabled: !scene?.elements.length,
      run: () =>
        useView
          .getState()
          .select(
            scene?.elements.filter((each) => !each.isLocked && !each.isHidden).map((each) => each.id) ?? [],
          ),
    },
  };
  return offers;
}

export type OfferId =
  | "copy"
  | "cut"
  | "paste"
  | "duplicate"
  | "remove"
  | "up"
  | "down"
  | "group"
  | "ungroup"
  | "lock"
  | "hide"
  | "construction"
  | "flipAcross"
  | "flipDown"
  | "centre"
  | "all";
