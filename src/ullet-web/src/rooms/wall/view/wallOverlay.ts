import type { ElementBox, Finding, Margin, StitchMap } from "../../../api/client";
import { isFormed, type Element } from "../../../api/elements";
import { makingOf } from "../../../canvas/makings";
import type { Camera, Place } from "../../../canvas/camera";
import { paintLeftovers, paintPointed } from "../../../canvas/edgePainter";
import { paintMap } from "../../../canvas/mapPainter";
import { paintMargins } from "../../../canvas/matchPainter";
import { paintGuides, paintMeasure } from "../../../canvas/guidePainter";
import type { Guide } from "../../../canvas/guides";
import { free } from "../../../canvas/hitTest";
import { wholeBox } from "../../../canvas/whole";
import { paintBand, paintBox, paintFinding, paintMarks } from "../../../canvas/overlayPainter";
import type { MapKind } from "../../../state/view";
import { paintChosenLetter } from "../forms/words/letterMark";

/** What a hand does at the moment: the moved elements and where their boxes are by now. */
export interface Drag {
  ids: string[];
  boxes: Map<string, ElementBox>;
  guides?: Guide[];
  /** The box round all of them, where several are made larger or turned. */
  whole?: ElementBox;
}

/** What is shown over the drawing. */
export interface Marks {
  selection: string[];
  stepKey: string | null;
  letter: number | null;
  measured: { from: Place; to: Place } | null;
  /** A line that a list points at, as path data in mm. */
  pointedPath: string | null;
  /** The edge match along the selected element's edge. */
  margins: Margin[] | null;
  /** A map that lies over everything. */
  map: { kind: MapKind; cells: StitchMap } | null;
  /** True while nodes are worked on: the box has no handles then. */
  isInNodes: boolean;
  /** A length in words, in the unit that is shown. */
  lengthText: (mm: number) => string;
}

/** Paints what a tool shows over everything: nodes, a line that is being drawn. */
export type Extra = (ctx: CanvasRenderingContext2D, camera: Camera, ratio: number) => void;

interface Shown {
  elements: Element[];
  findings: Finding[];
  marks: Marks;
  drag: Drag | null;
  /** How far the chosen letter is carried, mm. */
  letterMoved: Place;
  band: { from: Place; to: Place } | null;
  extra: Extra | null;
}

/** Paints what hands need over the drawing: edges, the selection with its stages, findings, guides, what a tool shows. */
export function paintOverlay(ctx: CanvasRenderingContext2D, camera: Camera, ratio: number, shown: Shown) {
  const { marks, drag, band } = shown;
  const seen = shown.elements.filter((element) => !element.isHidden);
  const chosen = seen.filter((element) => marks.selection.includes(element.id));
  const single = chosen.length === 1;
  if (marks.map && !drag) paintMap(ctx, marks.map.cells, marks.map.kind, camera, ratio);
  if (!drag)
    for (const element of seen)
      if (!chosen.includes(element)) makingOf(element).under?.(ctx, element, camera, ratio, false);
  if (!(marks.isInNodes && single))
    for (const element of chosen) {
      if (single && !drag) {
        paintMarks(ctx, element, camera, ratio);
        paintLeftovers(ctx, element, camera, ratio);
      }
      const box = drag?.boxes.get(element.id) ?? element.box;
      paintBox(ctx, box, camera, ratio, single && !element.isLocked);
      const letters = isFormed(element, "words") ? element.form.letters : [];
      const letter = letters.find((each) => each.index === marks.letter);
      if (letter && single && !drag) paintChosenLetter(ctx, letter, shown.letterMoved, camera, ratio);
    }
  if (chosen.length > 1 && chosen.every(free)) paintWhole(ctx, chosen, drag, camera, ratio);
  if (!drag) for (const element of chosen) makingOf(element).under?.(ctx, element, camera, ratio, true);
  if (marks.margins && single && !drag) paintMargins(ctx, marks.margins, camera, ratio);
  for (const finding of shown.findings) paintFinding(ctx, finding, camera, ratio);
  if (drag?.guides) paintGuides(ctx, drag.guides, camera, ratio, marks.lengthText);
  if (marks.measured) paintMeasure(ctx, marks.measured, camera, ratio, marks.lengthText);
  if (marks.pointedPath) paintPointed(ctx, marks.pointedPath, camera, ratio);
  shown.extra?.(ctx, camera, ratio);
  if (band) paintBand(ctx, band.from, band.to, ratio);
}

/** The box round several selected elements, with its handles; while they are only moved it goes without. */
function paintWhole(
  ctx: CanvasRenderingContext2D,
  chosen: Element[],
  drag: Drag | null,
  camera: Camera,
  ratio: number,
) {
  if (drag && !drag.whole) return;
  paintBox(ctx, drag?.whole ?? wholeBox(chosen), camera, ratio, true);
}
