import { useEffect, useState, type ReactNode } from "react";

/** How far below the sight the next ones are fetched. */
const AHEAD = "500px";

/** The first of a long list, and more each time its end comes into sight: the list's part, and what stands at its end. */
export function useMore<T>(all: T[], atOnce: number): [T[], ReactNode] {
  const [shown, setShown] = useState(atOnce);
  const [end, setEnd] = useState<HTMLElement | null>(null);
  const isMore = shown < all.length;

  useEffect(() => {
    if (!end || !isMore) return;
    const watch = new IntersectionObserver(
      (seen) => {
        if (seen.some((entry) => entry.isIntersecting)) setShown((now) => now + atOnce);
      },
      { rootMargin: AHEAD },
    );
    watch.observe(end);
    return () => watch.disconnect();
  }, [end, isMore, atOnce, shown]);

  return [
    all.slice(0, shown),
    isMore ? (
      <p key="end" ref={setEnd} className="py-4 text-center text-[14px] text-muted">
        {all.length - shown} more below
      </p>
    ) : null,
  ];
}
