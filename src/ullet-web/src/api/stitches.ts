import { fetchFile, Refused, type Scene } from "./client";

const kept = new Map<string, Float32Array>();
const MOST_KEPT = 400;

/** Needle points of all steps of a scene, fetched where they are not known yet: x, y pairs, NaN pairs between runs. */
export async function loadStitches(scene: Scene, signal: AbortSignal): Promise<Map<string, Float32Array>> {
  const found = new Map<string, Float32Array>();
  await Promise.all(
    [...scene.steps, ...scene.guides.flatMap((guide) => guide.steps)].map(async (step) => {
      const key = step.stitchesKey;
      if (!key) return;
      const known = kept.get(key);
      found.set(key, known ?? (await load(scene.projectId, step.key, key, signal)));
    }),
  );
  return found;
}

async function load(projectId: string, stepKey: string, key: string, signal: AbortSignal) {
  const bytes = await fetchFile(
    `/api/projects/${projectId}/steps/${encodeURIComponent(stepKey)}/stitches?key=${key}`,
    signal,
  ).catch((wrong: unknown) => {
    // Outdated while it was fetched: the next scene brings its own keys.
    if (wrong instanceof Refused && wrong.code === "stitches-outdated") return new ArrayBuffer(0);
    throw wrong;
  });
  const points = new Float32Array(bytes);
  if (points.length > 0) {
    if (kept.size >= MOST_KEPT) kept.clear();
    kept.set(key, points);
  }
  return points;
}
