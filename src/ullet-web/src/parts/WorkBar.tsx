import { LoaderCircle } from "lucide-react";
import { cancelWork, useWorks, type LongWork } from "../api/work";
import { Button } from "./Button";

/** What takes long, its place in the queue, and a way to end it. */
export function WorkBar() {
  const works = useWorks((state) => state.list);
  return (
    <div
      role="status"
      aria-live="polite"
      className="fixed top-[64px] left-1/2 z-[70] w-max max-w-[80vw] -translate-x-1/2 space-y-2"
    >
      {works.map((work) => (
        <div
          key={work.id}
          className="flex items-center gap-3 rounded-card border border-indigo bg-white py-2 pr-2 pl-4 shadow-lg"
        >
          <LoaderCircle size={18} aria-hidden className="animate-spin text-indigo" />
          <span>
            <span className="font-medium">{work.what}</span>
            <span className="text-muted"> {placeWords(work)}</span>
          </span>
          <Button onClick={() => void cancelWork(work.id)}>Cancel</Button>
        </div>
      ))}
    </div>
  );
}

function placeWords(work: LongWork) {
  if (work.place === 0) return "takes a while; it is being computed.";
  return work.place === 1
    ? "waits for one large computation before it."
    : `waits for ${work.place} large computations before it.`;
}
