import type { Schemas } from "../../../api/client";
import type { ShownThread } from "./ThreadCanvas";

export type StitchPreview = Schemas["StitchPreview"];
export type PreviewBlock = Schemas["PreviewBlock"];

/** The floats behind a base 64 text. */
export function floatsOf(text: string): Float32Array {
  const bytes = Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0));
  return new Float32Array(bytes.buffer);
}

/** The blocks of a preview as thread. */
export function threadsOf(preview: StitchPreview, chosen: number | null): ShownThread[] {
  return preview.blocks.map((block) => ({
    points: floatsOf(block.line),
    colour: block.colour,
    isFaint: chosen !== null && block.number !== chosen,
  }));
}
