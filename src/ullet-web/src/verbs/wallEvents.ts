import { useRuler } from "../state/ruler";

/** What buttons and keys ask of the wall's drawing, which owns its camera. */
interface WallHandler {
  zoom: (factor: number) => void;
  fit: () => void;
  trueSize: (pixelsPerMm: number) => void;
  letGo: () => boolean;
  lookAt: (place: { x: number; y: number }, scale: number) => void;
}

/** How near a place is brought when it is shown, CSS pixels for a mm. */
const NEAR = 14;

let handler: WallHandler | null = null;

export const wallEvents = {
  attach(next: WallHandler | null) {
    handler = next;
  },
  zoom: (factor: number) => handler?.zoom(factor),
  fit: () => handler?.fit(),
  trueSize: () => handler?.trueSize(useRuler.getState().pixelsPerMm),
  /** Brings a place of the wall to the middle, close up. */
  lookAt: (x: number, y: number) => handler?.lookAt({ x, y }, NEAR),
  /** Gives up a drag; false when there was none. */
  letGo: () => handler?.letGo() ?? false,
};
