import { create } from "zustand";

const KEPT_AS = "ullet-pixels-per-mm";

/** CSS pixels for a mm where nobody laid a ruler on the screen: 96 to the inch. */
export const USUAL_PIXELS = 96 / 25.4;

interface Ruler {
  pixelsPerMm: number;
  setPixelsPerMm: (pixels: number) => void;
}

const kept = Number(localStorage.getItem(KEPT_AS));

/** How large a mm is on this screen, set once against a ruler. */
export const useRuler = create<Ruler>((set) => ({
  pixelsPerMm: kept >= 1 && kept <= 20 ? kept : USUAL_PIXELS,
  setPixelsPerMm: (pixelsPerMm) => {
    localStorage.setItem(KEPT_AS, String(pixelsPerMm));
    set({ pixelsPerMm });
  },
}));
