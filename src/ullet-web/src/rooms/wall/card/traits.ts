import type { Scene, Schemas } from "../../../api/client";
import type { Element } from "../../../api/elements";

export type TraitRow = Schemas["TraitRow"];

/** A value of a trait with its name. */
export interface Named {
  word: string;
  name: string;
}

/** What the values of a trait are called in this project. */
export function choicesOf(trait: TraitRow, scene: Scene, fonts: { id: string; name: string }[]): Named[] {
  const named = (list: { id: string; name: string }[]) => list.map(({ id, name }) => ({ word: id, name }));
  switch (trait.source) {
    case "cloths":
      return named(scene.cloths);
    case "threads":
      return named(scene.threads);
    case "fonts":
      return named(fonts);
    case "choices":
      return trait.choices;
    case "length":
    case "text":
      return [];
  }
}

/** The words that elements have for a trait, each once and in their order: several for one that stands in several groups. */
export function wordsOf(trait: TraitRow, element: Element): string[] {
  const value = element.traits[trait.id];
  if (!value) return [];
  return value.several ?? [value.word];
}

/** The one value that all of some elements have, or null where they differ. */
export function common(trait: TraitRow, elements: Element[]) {
  const first = elements[0]?.traits[trait.id];
  const isLength = trait.source === "length";
  const same = elements.every((element) => {
    const value = element.traits[trait.id];
    return isLength
      ? Math.abs((value?.length ?? 0) - (first?.length ?? 0)) < 0.005
      : value?.word === first?.word;
  });
  return same ? (first ?? null) : null;
}

/** The next element like one, down the stack and from its top again: of the same kind, made in the same way. */
export function nextLike(scene: Scene, id: string | undefined): string | null {
  const from = scene.elements.findIndex((element) => element.id === id);
  const like = scene.elements[from];
  if (!like) return null;
  const after = [...scene.elements.slice(from + 1), ...scene.elements.slice(0, from)];
  const fits = (element: Element) =>
    element.traits.kind?.word === like.traits.kind?.word && element.making.kind === like.making.kind;
  return after.find((element) => fits(element) && !element.isHidden)?.id ?? null;
}
