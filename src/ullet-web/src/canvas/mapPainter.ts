import type { StitchMap } from "../api/client";
import { apply, type Camera } from "./camera";
import type { MapKind } from "../state/view";

/** Colours of the levels from 1 on; the legend shows the same. */
export const MAP_COLOURS: Record<MapKind, readonly string[]> = {
  density: ["#cfe3ef", "#7fb2d1", "#d98a00", "#b3343a"],
  coverage: ["#b3343a", "#e7b65c", "#8fb8a8", "#5b3f8f"],
};

const pictures = new WeakMap<StitchMap, HTMLCanvasElement>();

/** Draws a map's cells over the wall. */
export function paintMap(
  ctx: CanvasRenderingContext2D,
  map: StitchMap,
  kind: MapKind,
  camera: Camera,
  ratio: number,
) {
  const picture = pictures.get(map) ?? made(map, kind);
  if (!picture) return;
  pictures.set(map, picture);
  apply(ctx, camera, ratio);
  ctx.globalAlpha = 0.82;
  ctx.imageSmoothingEnabled = false;
  ctx.drawImage(picture, map.x, map.y, picture.width * map.cell, picture.height * map.cell);
  ctx.imageSmoothingEnabled = true;
  ctx.globalAlpha = 1;
}

/** One pixel for each cell. */
function made(map: StitchMap, kind: MapKind): HTMLCanvasElement | null {
  const levels = Uint8Array.from(atob(map.levels), (char) => char.charCodeAt(0));
  const rows = map.columns ? levels.length / map.columns : 0;
  const canvas = document.createElement("canvas");
  const ctx = canvas.getContext("2d");
  if (!ctx || rows < 1) return null;
  [canvas.width, canvas.height] = [map.columns, rows];
  const pixels = ctx.createImageData(map.columns, rows);
  const colours = MAP_COLOURS[kind].map((colour) => Number.parseInt(colour.slice(1), 16));
  levels.forEach((level, i) => {
    const colour = colours[level - 1];
    if (colour === undefined) return;
    pixels.data.set([colour >> 16, (colour >> 8) & 255, colour & 255, 255], i * 4);
  });
  ctx.putImageData(pixels, 0, 0);
  return canvas;
}
