/** So many bytes are turned at once: a call takes only so many arguments. */
const CHUNK = 0x8000;

/** A file's bytes as text that a request can carry. */
export function bytesAsBase64(bytes: ArrayBuffer): string {
  const all = new Uint8Array(bytes);
  let text = "";
  for (let i = 0; i < all.length; i += CHUNK) text += String.fromCharCode(...all.subarray(i, i + CHUNK));
  return btoa(text);
}
