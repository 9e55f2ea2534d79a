/** A small picture of a shape, sewn round its edge. */
export function ShapePicture({ path }: { path: string }) {
  return (
    <svg width="40" height="40" viewBox="-20 -20 40 40" aria-hidden>
      <path d={path} fill="#e9ebf6" stroke="#3b4ba3" strokeWidth="3" strokeDasharray="1.5 0.7" />
    </svg>
  );
}
