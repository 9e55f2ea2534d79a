/** Ullet's mark: an eyelet, bound with stitches. */
export function Eyelet({ size = 30 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <circle
        cx="16"
        cy="16"
        r="9.5"
        fill="none"
        stroke="#3b4ba3"
        strokeWidth="5"
        strokeDasharray="2.4 1.33"
      />
      <circle cx="16" cy="16" r="5.4" fill="#1d2a3a" />
    </svg>
  );
}
