import type { Cloth } from "../api/client";
import { shaded } from "./colours";

const PIXELS_PER_MM = 32;

const tiles = new Map<string, HTMLCanvasElement>();

/** A fill for cloth in mm: the context must be drawing in mm. */
export function clothFill(ctx: CanvasRenderingContext2D, cloth: Cloth): CanvasPattern | string {
  const photo = cloth.swatch ? photoOf(cloth.swatch.assetId) : null;
  if (photo && cloth.swatch) {
    const repeat = ctx.createPattern(photo, "repeat");
    const scale = cloth.swatch.widthMm / photo.naturalWidth;
    repeat?.setTransform(new DOMMatrix().scaleSelf(scale));
    return repeat ?? cloth.colour;
  }
  const key = [cloth.colour, cloth.texture, cloth.kind, cloth.patternColour ?? ""].join("|");
  let tile = tiles.get(key);
  if (!tile) {
    tile = weave(cloth);
    tiles.set(key, tile);
  }
  const pattern = ctx.createPattern(tile, "repeat");
  pattern?.setTransform(new DOMMatrix().scaleSelf(1 / PIXELS_PER_MM));
  return pattern ?? cloth.colour;
}

const photos = new Map<string, HTMLImageElement>();
let arrived = 0;
let onArrived: (() => void) | null = null;

/** How many photos have come in so far. */
export const photosArrived = () => arrived;

/** Calls back whenever a photo has come in that was missing in a picture. */
export function whenPhotoArrives(action: (() => void) | null) {
  onArrived = action;
}

/** The photo of a cloth, or null while it is on its way. */
function photoOf(assetId: string): HTMLImageElement | null {
  const known = photos.get(assetId);
  if (known) return known.complete && known.naturalWidth > 0 ? known : null;
  const image = new Image();
  photos.set(assetId, image);
  image.onload = () => {
    arrived++;
    onArrived?.();
  };
  image.src = `/api/assets/${assetId}`;
  return null;
}

/** One repeat of the cloth: 6 × 6 mm. */
function weave(cloth: Cloth): HTMLCanvasElement {
  const side = 6 * PIXELS_PER_MM;
  const tile = document.createElement("canvas");
  tile.width = tile.height = side;
  const ctx = tile.getContext("2d");
  if (!ctx) return tile;
  ctx.fillStyle = cloth.colour;
  ctx.fillRect(0, 0, side, side);
  ctx.scale(PIXELS_PER_MM, PIXELS_PER_MM);
  const motif = cloth.patternColour ?? shaded(cloth.colour, 0.62);
  if (cloth.texture === "dotted") {
    ctx.fillStyle = motif;
    for (const [x, y] of [
      [1.5, 1.5],
      [4.5, 4.5],
    ] as const) {
      ctx.beginPath();
      ctx.arc(x, y, 0.62, 0, 2 * Math.PI);
      ctx.fill();
    }
  }
  if (cloth.texture === "striped") {
    ctx.fillStyle = motif;
    ctx.fillRect(0.6, 0, 1, 6);
    ctx.fillRect(3.6, 0, 1, 6);
  }
  if (cloth.kind === "felt") fibres(ctx, cloth.colour);
  else if (cloth.kind !== "vinyl" && cloth.texture !== "plain") threads(ctx);
  return tile;
}

/** Warp and weft, half a mm apart: each yarn rounds over one and dips under the next. */
function threads(ctx: CanvasRenderingContext2D) {
  const [across, along] = [yarn(ctx, true), yarn(ctx, false)];
  // Dark cloth is lit as little as it reflects.
  ctx.globalCompositeOperation = "soft-light";
  for (let i = 0; i < 12; i++) {
    for (let j = 0; j < 12; j++) {
      const isWeft = (i + j) % 2 === 0;
      ctx.save();
      ctx.translate(i * 0.5, j * 0.5);
      // The dark where a yarn dips.
      ctx.fillStyle = "rgb(0 0 0 / 0.26)";
      ctx.fillRect(0, 0, 0.5, 0.5);
      ctx.fillStyle = isWeft ? across : along;
      ctx.beginPath();
      if (isWeft) ctx.ellipse(0.25, 0.25, 0.27, 0.21, 0, 0, 2 * Math.PI);
      else ctx.ellipse(0.25, 0.25, 0.21, 0.27, 0, 0, 2 * Math.PI);
      ctx.fill();
      // Fibres along the yarn.
      ctx.strokeStyle = "rgb(0 0 0 / 0.16)";
      ctx.lineWidth = 0.03;
      for (const away of [-0.07, 0.06]) {
        ctx.beginPath();
        if (isWeft) {
          ctx.moveTo(0.06, 0.25 + away);
          ctx.lineTo(0.44, 0.25 + away);
        } else {
          ctx.moveTo(0.25 + away, 0.06);
          ctx.lineTo(0.25 + away, 0.44);
        }
        ctx.stroke();
      }
      ctx.restore();
    }
  }
}

/** The rounding of one yarn: lit on the side towards the left and above. */
function yarn(ctx: CanvasRenderingContext2D, isWeft: boolean): CanvasGradient {
  const shade = isWeft
    ? ctx.createLinearGradient(0, 0.04, 0, 0.46)
    : ctx.createLinearGradient(0.04, 0, 0.46, 0);
  shade.addColorStop(0, "rgb(255 255 255 / 0.75)");
  shade.addColorStop(0.4, "rgb(255 255 255 / 0.45)");
  shade.addColorStop(1, "rgb(0 0 0 / 0.06)");
  return shade;
}

/** Short fibres that lie every way; the same each time. */
function fibres(ctx: CanvasRenderingContext2D, colour: string) {
  let seed = 7;
  const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  ctx.lineWidth = 0.06;
  for (let i = 0; i < 130; i++) {
    const [x, y, turn] = [next() * 6, next() * 6, next() * Math.PI];
    ctx.strokeStyle = shaded(colour, i % 2 ? 0.25 : -0.14);
    ctx.beginPath();
    ctx.moveTo(x, y);
    ctx.lineTo(x + Math.cos(turn) * 0.7, y + Math.sin(turn) * 0.7);
    ctx.stroke();
  }
}
