import { create } from "zustand";
import type { Scene } from "../api/client";

/** What the eyes look at; nothing of the document. */
interface ViewState {
  /** Ids of the selected elements. */
  selection: string[];
  /** The step that the run strip points at, or null. */
  stepKey: string | null;
  /** A scene that is not saved, drawn instead of the saved one. */
  preview: Scene | null;
  /** Changes that are on their way to the server. */
  pending: number;
  stackOpen: boolean;
  keysOpen: boolean;
  select: (ids: string[]) => void;
  pointAt: (stepKey: string | null) => void;
  setPreview: (scene: Scene | null) => void;
  addPending: (by: 1 | -1) => void;
  setStackOpen: (open: boolean) => void;
  setKeysOpen: (open: boolean) => void;
}

export const useView = create<ViewState>((set) => ({
  selection: [],
  stepKey: null,
  preview: null,
  pending: 0,
  stackOpen: true,
  keysOpen: false,
  select: (selection) => set({ selection, stepKey: null }),
  pointAt: (stepKey) => set({ stepKey }),
  setPreview: (preview) => set({ preview }),
  addPending: (by) => set((state) => ({ pending: state.pending + by })),
  setStackOpen: (stackOpen) => set({ stackOpen }),
  setKeysOpen: (keysOpen) => set({ keysOpen }),
}));
