import type { Cloth } from "../api/client";

/** A little square of cloth. */
export function ClothSwatch({ cloth, size = 18 }: { cloth?: Cloth; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden className="shrink-0 rounded-[3px]">
      <rect width="18" height="18" fill={cloth?.colour ?? "#ffffff"} />
      {cloth?.texture === "dotted" ? (
        <g fill="#ffffff" opacity="0.75">
          <circle cx="4.5" cy="4.5" r="1.8" />
          <circle cx="13.5" cy="4.5" r="1.8" />
          <circle cx="9" cy="9.5" r="1.8" />
          <circle cx="4.5" cy="14" r="1.8" />
          <circle cx="13.5" cy="14" r="1.8" />
        </g>
      ) : null}
      {cloth?.texture === "striped" ? (
        <g fill="#ffffff" opacity="0.55">
          <rect x="2" width="3" height="18" />
          <rect x="8" width="3" height="18" />
          <rect x="14" width="3" height="18" />
        </g>
      ) : null}
      <rect x="0.5" y="0.5" width="17" height="17" rx="2.5" fill="none" stroke="#1d2a3a" opacity="0.35" />
    </svg>
  );
}

/** A thread's colour where its name stands beside it. */
export function ThreadDot({ colour }: { colour?: string }) {
  return (
    <span
      aria-hidden
      className="inline-block size-4 shrink-0 rounded-full border border-ink/30"
      style={{ backgroundColor: colour }}
    />
  );
}

/** A wound spool seen from the side. */
export function ThreadSwatch({ colour, size = 18 }: { colour: string; size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 18 18" aria-hidden className="shrink-0">
      <path d="M4 1.5h10M4 16.5h10" stroke="#556373" strokeWidth="2" strokeLinecap="round" />
      <rect x="4.5" y="3" width="9" height="12" rx="1" fill={colour} />
      <path d="M4.5 6.2 13.5 4.6M4.5 9.6 13.5 8M4.5 13 13.5 11.4" stroke="#ffffff" opacity="0.45" />
    </svg>
  );
}
