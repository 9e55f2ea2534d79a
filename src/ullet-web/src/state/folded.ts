/** A text without accents, in lower case: as it is searched. */
export const folded = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();

/** True when each word of a search stands in a text. */
export function answers(search: string, text: string): boolean {
  const held = folded(text);
  return folded(search)
    .split(/\s+/)
    .every((word) => held.includes(word));
}
