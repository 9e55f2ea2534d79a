import { create } from "zustand";
import type { Scene } from "../api/client";

/** A stretch measured on the wall, mm. */
export interface Measured {
  from: { x: number; y: number };
  to: { x: number; y: number };
}

/** What the eyes look at; nothing of the document. */
interface ViewState {
  /** Ids of the selected elements. */
  selection: string[];
  /** Number of the letter that hands work on, in the words that alone are selected. */
  letter: number | null;
  /** What a drag on the wall does. */
  tool: "select" | "measure";
  /** What was measured last; null before. */
  measured: Measured | null;
  /** The step that the run strip points at, or null. */
  stepKey: string | null;
  /** A scene that is not saved, drawn instead of the saved one. */
  preview: Scene | null;
  /** Changes that are on their way to the server. */
  pending: number;
  stackOpen: boolean;
  keysOpen: boolean;
  select: (ids: string[]) => void;
  chooseLetter: (letter: number | null) => void;
  setTool: (tool: "select" | "measure") => void;
  setMeasured: (measured: Measured | null) => void;
  pointAt: (stepKey: string | null) => void;
  setPreview: (scene: Scene | null) => void;
  addPending: (by: 1 | -1) => void;
  setStackOpen: (open: boolean) => void;
  setKeysOpen: (open: boolean) => void;
}

export const useView = create<ViewState>((set) => ({
  selection: [],
  letter: null,
  tool: "select",
  measured: null,
  stepKey: null,
  preview: null,
  pending: 0,
  stackOpen: true,
  keysOpen: false,
  select: (selection) => set({ selection, stepKey: null, letter: null }),
  chooseLetter: (letter) => set({ letter }),
  setTool: (tool) => set({ tool, measured: null }),
  setMeasured: (measured) => set({ measured }),
  pointAt: (stepKey) => set({ stepKey }),
  setPreview: (preview) => set({ preview }),
  addPending: (by) => set((state) => ({ pending: state.pending + by })),
  setStackOpen: (stackOpen) => set({ stackOpen }),
  setKeysOpen: (keysOpen) => set({ keysOpen }),
}));
