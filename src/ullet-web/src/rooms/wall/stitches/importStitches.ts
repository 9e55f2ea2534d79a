import { postTo, type Schemas } from "../../../api/client";

export type StitchImport = Schemas["StitchImport"];

/** Uploads stitch files: one, or the sizes of one design. */
export function importStitches(files: File[]): Promise<StitchImport> {
  const form = new FormData();
  for (const file of files) form.append("files", file);
  return postTo<StitchImport>("/api/stitches", { body: form });
}
