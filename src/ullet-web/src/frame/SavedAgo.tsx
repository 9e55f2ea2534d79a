import { useEffect, useState } from "react";

/** "Saved · 12 s ago". */
export function SavedAgo({ savedAt }: { savedAt: number }) {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const tick = setInterval(() => setNow(Date.now()), 5000);
    return () => clearInterval(tick);
  }, []);
  return (
    <p className="truncate pl-1 text-[12px] leading-4 text-muted">
      Saved · {ago(Math.max(0, now - savedAt) / 1000)}
    </p>
  );
}

function ago(seconds: number): string {
  if (seconds < 5) return "just now";
  if (seconds < 60) return `${Math.floor(seconds)} s ago`;
  if (seconds < 3600) return `${Math.floor(seconds / 60)} min ago`;
  if (seconds < 86400) return `${Math.floor(seconds / 3600)} h ago`;
  return `${Math.floor(seconds / 86400)} days ago`;
}
