import type { ClothCut, CutExport, Scene, Sheet } from "../../api/client";

/** What every part of the cutting table works on. */
export interface TableProps {
  projectId: string;
  scene: Scene;
  cloth: ClothCut;
  sheet: Sheet;
  /** Marks of the chosen shapes: key and copy. */
  chosen: string[];
  choose: (marks: string[]) => void;
  /** Files of this cloth that were handed out. */
  exports: CutExport[];
}

/** Tells one shape on the mats from all others. */
export const markOf = (shape: { key: string; copy: number }) => `${shape.key} ${shape.copy}`;

/** What is chosen once one more is chosen, or let go. */
export const toggled = (chosen: string[], mark: string) =>
  chosen.includes(mark) ? chosen.filter((each) => each !== mark) : [...chosen, mark];
