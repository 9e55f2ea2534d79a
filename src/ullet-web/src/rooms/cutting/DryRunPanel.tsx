import { useMutation } from "@tanstack/react-query";
import { Scissors } from "lucide-react";
import { useEffect, useState } from "react";
import { fetchFile, sendFile, type DryRun, type Sheet } from "../../api/client";
import { Button } from "../../parts/Button";
import { duration } from "../../state/lengths";
import { CutterFilm } from "./CutterFilm";

const FILM_MS = 3500;

/** The stand-in cutter reads the exported file and says what it did. */
export function DryRunPanel({ projectId, sheet }: { projectId: string; sheet: Sheet }) {
  const run = useMutation({
    mutationFn: async () => {
      const file = await fetchFile(`/api/projects/${projectId}/cut.svg?cloth=${sheet.clothId}`);
      return sendFile<DryRun>("/api/devices/cutter/dry-run", file, "image/svg+xml");
    },
  });
  return (
    <section
      aria-label="Dry run"
      data-state={run.isPending ? "busy" : "idle"}
      className="flex min-h-[120px] shrink-0 items-start gap-5 border-t border-line bg-white px-4 py-3"
    >
      <div className="w-[190px] shrink-0">
        <h2 className="font-semibold">Dry run</h2>
        <p className="mb-2 text-[13px] text-muted">
          The stand-in cutter reads the cut file and cuts it in the air.
        </p>
        <Button disabled={run.isPending} onClick={() => run.mutate()}>
          <Scissors size={16} aria-hidden />
          {run.data ? "Run again" : "Start the dry run"}
        </Button>
      </div>
      {run.isError ? <p className="text-madder">{run.error.message}</p> : null}
      {run.data ? <Report run={run.data} /> : null}
    </section>
  );
}

function Report({ run }: { run: DryRun }) {
  const [share, setShare] = useState(0);

  useEffect(() => {
    const calm = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    let asked = 0;
    let start: number | null = null;
    const tick = (time: number) => {
      start ??= time;
      const next = calm ? 1 : Math.min(1, (time - start) / FILM_MS);
      setShare(next);
      if (next < 1) asked = requestAnimationFrame(tick);
    };
    asked = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(asked);
  }, [run]);

  return (
    <>
      <CutterFilm run={run} share={share} />
      <div className="min-w-0 flex-1">
        <div
          role="progressbar"
          aria-label="Cut"
          aria-valuenow={Math.round(share * 100)}
          className="mb-2 h-1.5 rounded-full bg-line"
        >
          <div className="h-full rounded-full bg-verdigris" style={{ width: `${share * 100}%` }} />
        </div>
        <p className="text-[14px]">
          Frame {run.frame.width.toFixed(1)} × {run.frame.height.toFixed(1)} mm ·{" "}
          {(run.cutLength / 1000).toFixed(2)} m cut · {run.lifts} {run.lifts === 1 ? "lift" : "lifts"} ·{" "}
          {duration(run.seconds)}
        </p>
        <h3 className="mt-1 text-[13px] font-semibold">Cut free</h3>
        <ul className="grid max-h-[76px] grid-cols-2 gap-x-4 overflow-y-auto text-[14px]">
          {run.freed.map((shape, i) => (
            <li key={i}>
              {shape.name}
              {shape.isWaste ? " (falls out)" : ""}: {shape.width.toFixed(1)} × {shape.height.toFixed(1)} mm
            </li>
          ))}
        </ul>
      </div>
    </>
  );
}
