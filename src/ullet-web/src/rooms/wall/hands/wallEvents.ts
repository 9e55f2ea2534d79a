import { useRuler } from "../../../state/ruler";

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
let awaited: { projectId: string; before: string[] } | null = null;

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
  /** Carries out an edit that adds elements and selects whatever the next scene has that these were not. */
  async adding(projectId: string, before: string[], edit: () => Promise<boolean>) {
    const wish = { projectId, before };
    awaited = wish;
    if (!(await edit()) && awaited === wish) awaited = null;
  },
  /** Ids of new elements that were waited for, once. */
  takeNew(projectId: string, ids: string[]): string[] {
    if (awaited?.projectId !== projectId) return [];
    const fresh = ids.filter((id) => !awaited?.before.includes(id));
    if (fresh.length) awaited = null;
    return fresh;
  },
};
