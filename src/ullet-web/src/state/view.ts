import { create } from "zustand";
import type { Scene } from "../api/client";

/** A stretch measured on the wall, mm. */
export interface Measured {
  from: { x: number; y: number };
  to: { x: number; y: number };
}

/** What a drag on the wall does. */
export type Tool = "select" | "measure" | "pen" | "freehand" | "nodes" | "direction" | "lasso";

/** The maps that can lie over the wall. */
export type MapKind = "density" | "coverage";

/** A node of the element whose nodes are worked on. */
export interface NodeRef {
  line: number;
  node: number;
}

/** What the eyes look at; nothing of the document. */
interface ViewState {
  /** Ids of the selected elements. */
  selection: string[];
  /** Number of the letter that hands work on, in the words that alone are selected. */
  letter: number | null;
  tool: Tool;
  /** What the lasso went round, across and down in turn, mm; null before. */
  lasso: number[] | null;
  /** The chosen nodes, while nodes are worked on. */
  nodes: NodeRef[];
  /** What is drawn strongly over the wall: a crumb or a stretch of edge that a list points at. */
  pointedPath: string | null;
  /** True while the edge match is drawn along the selected element's edge. */
  showsMatch: boolean;
  /** The map that lies over the wall, or null. */
  map: MapKind | null;
  /** Ids that are to be deleted though others are made with them; null when nobody asked. */
  removing: string[] | null;
  /** A place of the wall that is to be shown close up; null once it is. */
  wanted: { x: number; y: number } | null;
  /** What was measured last; null before. */
  measured: Measured | null;
  /** The step that the run strip points at, or null. */
  stepKey: string | null;
  /** A scene that is not saved, drawn instead of the saved one. */
  preview: Scene | null;
  /** Changes that are on their way to the server. */
  pending: number;
  /** True when the words of what is selected are to be typed over as soon as their field is there. */
  typesWords: boolean;
  stackOpen: boolean;
  findingsOpen: boolean;
  select: (ids: string[]) => void;
  chooseLetter: (letter: number | null) => void;
  setTool: (tool: Tool) => void;
  setLasso: (lasso: number[] | null) => void;
  chooseNodes: (nodes: NodeRef[]) => void;
  pointAtPath: (path: string | null) => void;
  showMatch: (shows: boolean) => void;
  showMap: (map: MapKind | null) => void;
  setRemoving: (ids: string[] | null) => void;
  setMeasured: (measured: Measured | null) => void;
  want: (wanted: { x: number; y: number } | null) => void;
  pointAt: (stepKey: string | null) => void;
  setPreview: (scene: Scene | null) => void;
  typeWords: (wanted: boolean) => void;
  addPending: (by: 1 | -1) => void;
  setStackOpen: (open: boolean) => void;
  setFindingsOpen: (open: boolean) => void;
}

export const useView = create<ViewState>((set) => ({
  selection: [],
  letter: null,
  tool: "select",
  lasso: null,
  nodes: [],
  pointedPath: null,
  showsMatch: false,
  map: null,
  removing: null,
  wanted: null,
  measured: null,
  stepKey: null,
  preview: null,
  pending: 0,
  typesWords: false,
  stackOpen: true,
  findingsOpen: false,
  select: (selection) =>
    set((state) => ({
      selection,
      stepKey: null,
      letter: null,
      nodes: [],
      pointedPath: null,
      tool: ofOneElement(state.tool) && selection[0] !== state.selection[0] ? "select" : state.tool,
    })),
  chooseLetter: (letter) => set({ letter }),
  setTool: (tool) => set({ tool, measured: null, nodes: [], lasso: null }),
  setLasso: (lasso) => set({ lasso }),
  chooseNodes: (nodes) => set({ nodes }),
  pointAtPath: (pointedPath) => set({ pointedPath }),
  showMatch: (showsMatch) => set({ showsMatch }),
  showMap: (map) => set({ map }),
  setRemoving: (removing) => set({ removing }),
  setMeasured: (measured) => set({ measured }),
  want: (wanted) => set({ wanted }),
  pointAt: (stepKey) => set({ stepKey }),
  setPreview: (preview) => set({ preview }),
  typeWords: (typesWords) => set({ typesWords }),
  addPending: (by) => set((state) => ({ pending: state.pending + by })),
  setStackOpen: (stackOpen) => set({ stackOpen }),
  setFindingsOpen: (findingsOpen) => set({ findingsOpen }),
}));

/** True for a tool that works in the element that is selected. */
function ofOneElement(tool: Tool): boolean {
  return tool === "nodes" || tool === "direction";
}
