import type { Clip } from "../api/client";

const KEPT_AS = "ullet-clip";

/** Keeps copied elements for every project that is open in this browser. */
export function keepClip(clip: Clip) {
  localStorage.setItem(KEPT_AS, JSON.stringify(clip));
}

/** What was copied last, or null. */
export function keptClip(): Clip | null {
  const text = localStorage.getItem(KEPT_AS);
  return text ? (JSON.parse(text) as Clip) : null;
}
