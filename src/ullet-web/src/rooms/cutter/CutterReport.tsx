import { Scissors, Square } from "lucide-react";
import { useEffect, useRef } from "react";
import type { FreedShape, Unit } from "../../api/client";
import { Button } from "../../parts/Button";
import { duration, sizeText } from "../../state/lengths";
import type { Cutter } from "./useCutter";

/** The cut: start, progress and cancel; afterwards what was cut free, with sizes, or what still holds it. */
export function CutterReport({ cutter, unit }: { cutter: Cutter; unit: Unit }) {
  const { read, stage, busy, already } = cutter;
  if (stage.doing === "cutting")
    return (
      <>
        <div className="flex items-center gap-3">
          <Button look="trouble" onClick={() => cutter.finish("cutting", stage.share, stage.run)}>
            <Square size={14} aria-hidden />
            Cancel
          </Button>
          <span className="text-[14px] tabular-nums">
            {Math.round(stage.share * 100)} % · {((stage.run.cutLength * stage.share) / 1000).toFixed(2)} of{" "}
            {(stage.run.cutLength / 1000).toFixed(2)} m
          </span>
        </div>
        <Progress share={stage.share} />
      </>
    );
  const done = stage.doing === "done" ? stage : null;
  return (
    <>
      <Button
        look="main"
        disabled={!read || !read.isOnMat || busy || stage.doing === "frame"}
        onClick={() => void cutter.cut()}
      >
        <Scissors size={16} aria-hidden />
        {done && !done.run.isThrough && already > 0 ? "Cut again in place" : "Cut"}
      </Button>
      {done ? <Done {...done} unit={unit} /> : null}
    </>
  );
}

function Progress({ share }: { share: number }) {
  return (
    <div
      role="progressbar"
      aria-label="Cut"
      aria-valuenow={Math.round(share * 100)}
      className="h-1.5 rounded-full bg-line"
    >
      <div className="h-full rounded-full bg-verdigris" style={{ width: `${share * 100}%` }} />
    </div>
  );
}

function Done({ run, share, unit }: { run: NonNullable<Cutter["read"]>; share: number; unit: Unit }) {
  const place = useRef<HTMLElement>(null);
  useEffect(() => {
    // Some browsers answer a promise here, which is no clean-up.
    void place.current?.scrollIntoView({ block: "nearest" });
  }, [run]);
  const way = run.cutLength * share + 1e-6;
  const freed = run.freed.filter((shape) => shape.after <= way);
  return (
    <section ref={place} aria-label="Report" data-state="done" className="space-y-1 text-[14px]">
      <p>
        {share < 1 ? `Cancelled after ${Math.round(share * 100)} %. ` : ""}
        {(way / 1000).toFixed(2)} m cut · {run.lifts} {run.lifts === 1 ? "lift" : "lifts"} ·{" "}
        {duration(run.seconds * share)}
      </p>
      {run.isThrough ? (
        <Shapes
          title={freed.length > 0 ? "Cut free" : "Nothing is cut free yet"}
          shapes={freed}
          unit={unit}
        />
      ) : (
        <>
          <p className="font-semibold text-madder">{run.words}</p>
          <Shapes title="Still held by the cloth" shapes={run.held} unit={unit} />
        </>
      )}
    </section>
  );
}

function Shapes({ title, shapes, unit }: { title: string; shapes: FreedShape[]; unit: Unit }) {
  return (
    <>
      <h3 className="font-semibold">{title}</h3>
      <ul>
        {shapes.map((shape, i) => (
          <li key={i}>
            {shape.name}
            {shape.isWaste ? ", falls out" : ""}: {sizeText(shape.width, shape.height, unit)}
          </li>
        ))}
      </ul>
    </>
  );
}
