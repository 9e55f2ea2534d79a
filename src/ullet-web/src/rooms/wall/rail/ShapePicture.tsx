import type { ShapeSource } from "../../../api/client";

const PATHS: Record<ShapeSource["form"], string> = {
  rectangle: "M8 8h24q3 0 3 3v18q0 3-3 3H8q-3 0-3-3V11q0-3 3-3Z",
  ellipse: "M20 5a15 15 0 1 1 0 30a15 15 0 1 1 0-30Z",
  polygon: "M20 4 34 12v16L20 36 6 28V12Z",
  star: "M20 4l4.2 10.4 11.2.8-8.6 7.2 2.8 10.9L20 27.300 10.400 33.300l2.800-10.900L4.600 15.200l11.200-.8Z",
  heart: "M20 12C24 4 36 5 36 15C36 25 26 30 20 36C14 30 4 25 4 15C4 5 16 4 20 12Z",
  leaf: "M20 3C25 9 30 15 30 23C30 30 25 34 20 37C15 34 10 30 10 23C10 15 15 9 20 3Z",
  drop: "M20 3C22 11 31 16 31 25A11 11 0 0 1 9 25C9 16 18 11 20 3Z",
  crescent: "M28 6C12 0 4 12 6 22C8 34 20 38 30 33C18 32 13 14 28 6Z",
  shield: "M6 5Q13 9 20 6Q27 9 34 5C36 20 32 30 20 37C8 30 4 20 6 5Z",
  drawn: "M8 24C4 12 16 4 22 10C28 16 38 10 34 24C30 36 12 36 8 24Z",
};

/** A small picture of a shape, sewn round its edge. */
export function ShapePicture({ form }: { form: ShapeSource["form"] }) {
  return (
    <svg width="40" height="40" viewBox="0 0 40 40" aria-hidden>
      <path d={PATHS[form]} fill="#e9ebf6" stroke="#3b4ba3" strokeWidth="3.4" strokeDasharray="1.5 0.7" />
    </svg>
  );
}
