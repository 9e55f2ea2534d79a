import type { Operation } from "../../../api/client";

type Kind = Operation["operation"];

interface KindOfOperation {
  kind: Kind;
  /** On the button that adds it. */
  label: string;
  /** What it is for, to somebody who never used it. */
  about: string;
  /** What its sources are asked for; null when it needs none. */
  asks: string | null;
  /** Works on lines without cloth as well. */
  onLines?: true;
}

/** The operations that can be added, in the order in which they are offered. */
export const KINDS: KindOfOperation[] = [
  {
    kind: "carve",
    label: "Carve",
    about: "Takes others out of it, with a gap",
    asks: "Carved by",
    onLines: true,
  },
  { kind: "join", label: "Join", about: "Makes one outline with others", asks: "Joined with" },
  {
    kind: "keepOverlap",
    label: "Keep overlap",
    about: "Keeps what lies inside others",
    asks: "Kept inside",
    onLines: true,
  },
  { kind: "moveEdge", label: "Inset or outset", about: "Moves the whole edge in or out", asks: null },
  { kind: "roundCorners", label: "Round corners", about: "Rounds corners to a radius", asks: null },
  {
    kind: "repeatInLine",
    label: "Repeat in a row",
    about: "Copies in a row, or along a drawn line",
    asks: null,
    onLines: true,
  },
  {
    kind: "repeatRound",
    label: "Repeat round a centre",
    about: "Copies in a ring or a fan",
    asks: null,
    onLines: true,
  },
  { kind: "mirror", label: "Mirror", about: "Adds its mirror image", asks: null, onLines: true },
  { kind: "split", label: "Split", about: "Divides it by a line into two cloths", asks: null },
  { kind: "cutNecks", label: "Cut thin places", about: "Takes thin bridges and ends away", asks: null },
];

/** An operation of a kind with the numbers that the server gives where none are said. */
export function fresh(kind: Kind, sourceIds: string[]): Operation {
  switch (kind) {
    case "carve":
    case "join":
    case "keepOverlap":
      return { operation: kind, sourceIds };
    default:
      return { operation: kind };
  }
}
