import { useEffect, useEffectEvent } from "react";
import { create } from "zustand";

/** What can be asked for from anywhere; whoever owns it carries it out, as soon as it is there. */
export type Ask =
  | "bin"
  | "compare"
  | "density"
  | "drawingFile"
  | "handStep"
  | "history"
  | "hoop"
  | "keepPart"
  | "keys"
  | "letters"
  | "mockUp"
  | "newCloth"
  | "newProject"
  | "newThread"
  | "openFile"
  | "parts"
  | "pattern"
  | "room"
  | "search"
  | "shapes"
  | "sketches"
  | "stitchFile"
  | "takeCloth"
  | "takeThread"
  | "variant"
  | "zone";

/** A place in the help. */
export interface HelpPlace {
  page: string;
  anchor?: string;
}

interface Asks {
  asked: Ask | null;
  /** The place of the help that lies over the room; null while it is closed. */
  help: HelpPlace | null;
  ask: (asked: Ask) => void;
  openHelp: (help: HelpPlace | null) => void;
}

export const useAsks = create<Asks>((set) => ({
  asked: null,
  help: null,
  ask: (asked) => set({ asked }),
  openHelp: (help) => set({ help }),
}));

export const ask = (asked: Ask) => useAsks.getState().ask(asked);

export const openHelp = (page: string, anchor?: string) => useAsks.getState().openHelp({ page, anchor });

/** Carries out what is asked for; what was asked before this was there is carried out now. */
export function useWhenAsked(what: Ask, run: () => void) {
  const asked = useAsks((state) => state.asked === what);
  const carryOut = useEffectEvent(run);
  useEffect(() => {
    if (!asked) return;
    useAsks.setState({ asked: null });
    carryOut();
  }, [asked]);
}
