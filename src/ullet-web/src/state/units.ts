import { create } from "zustand";
import type { Unit } from "../api/client";
import { shown } from "./lengths";

const KEPT_AS = "ullet-stitches-in-mm";

interface Units {
  /** The unit in which lengths of the open project are shown. */
  shown: Unit;
  /** True to show covers and stitches in mm even where all else is in inches, as the trade's charts have them. */
  stitchesInMm: boolean;
  show: (unit: Unit) => void;
  setStitchesInMm: (inMm: boolean) => void;
}

/** The units that are shown: the project's, and what is chosen for covers and stitches. */
export const useUnits = create<Units>((set) => ({
  shown: "millimetre",
  stitchesInMm: localStorage.getItem(KEPT_AS) === "yes",
  show: (unit) => set({ shown: unit }),
  setStitchesInMm: (stitchesInMm) => {
    localStorage.setItem(KEPT_AS, stitchesInMm ? "yes" : "no");
    set({ stitchesInMm });
  },
}));

/** The unit of covers and stitches. */
export const useStitchUnit = (): Unit =>
  useUnits((units) => (units.stitchesInMm ? "millimetre" : units.shown));

/** A stitch's length with its unit, mm to so many digits. */
export function stitchText(mm: number, unit: Unit, digits = 1): string {
  return unit === "inch" ? `${shown(mm, unit)} in` : `${mm.toFixed(digits)} mm`;
}

/** How many lie side by side: "25 strokes to the cm". */
export const perLength = (spacing: number, unit: Unit, what: string): string =>
  unit === "inch"
    ? `${(25.4 / spacing).toFixed(0)} ${what} to the inch`
    : `${(10 / spacing).toFixed(0)} ${what} to the cm`;
