import { useEffect, useRef, useState } from "react";
import type { Scene } from "../../../api/client";
import { useForm, useMap } from "../../../api/queries";
import { loadStitches } from "../../../api/stitches";
import { photosArrived, whenPhotoArrives } from "../../../canvas/cloth";
import { withUnit } from "../../../state/lengths";
import { useView } from "../../../state/view";
import { WallView } from "./WallView";
import { useWallHands } from "../hands/useWallHands";
import { wallEvents } from "../../../verbs/wallEvents";

interface Props {
  projectId: string;
  /** What is drawn: the saved scene or a preview. */
  scene: Scene;
  saved: Scene;
}

/** The drawing itself: two canvases, one for cloth and thread, one for what hands need. */
export function WallCanvas({ projectId, scene, saved }: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const [view, setView] = useState<WallView | null>(null);
  const [drawn, setDrawn] = useState<number | null>(null);
  const {
    selection,
    stepKey,
    letter,
    measured,
    tool,
    pointedPath,
    showsMatch,
    map: mapKind,
    wanted,
    want,
    select,
  } = useView();
  const cells = useMap(projectId, mapKind, saved.head).data;
  const match = useForm(projectId, showsMatch ? (selection[0] ?? null) : null, saved.head).data?.edgeMatch;

  useEffect(() => {
    if (!holder.current) return;
    const made = new WallView(holder.current);
    setView(made);
    wallEvents.attach(made);
    whenPhotoArrives(() => made.refresh(photosArrived()));
    return () => {
      whenPhotoArrives(null);
      wallEvents.attach(null);
      made.dispose();
    };
  }, []);

  useEffect(() => {
    if (!view) return;
    const control = new AbortController();
    loadStitches(scene, control.signal).then(
      (stitches) => {
        view.show({ scene, stitches, photos: photosArrived() });
        setDrawn(scene.head);
      },
      (wrong: unknown) => {
        if (!control.signal.aborted) throw wrong;
      },
    );
    return () => control.abort();
  }, [view, scene]);

  // A hand step has no stitches to stand out from the others.
  const stitchStep = scene.steps.some((step) => step.key === stepKey && step.kind === "stitch")
    ? stepKey
    : null;
  useEffect(() => {
    const lengthText = (mm: number) => withUnit(mm, scene.unit);
    const isInNodes = tool === "nodes";
    const margins = showsMatch && match ? [...match.margins, ...match.elsewhere] : null;
    const map = mapKind && cells ? { kind: mapKind, cells } : null;
    view?.mark({
      selection,
      stepKey: stitchStep,
      letter,
      measured,
      pointedPath,
      margins,
      map,
      isInNodes,
      lengthText,
    });
  }, [
    view,
    selection,
    stitchStep,
    letter,
    measured,
    pointedPath,
    showsMatch,
    match,
    mapKind,
    cells,
    tool,
    scene.unit,
  ]);

  useEffect(() => {
    // What is gone is selected no more.
    const known = new Set(saved.elements.map((element) => element.id));
    const now = useView.getState().selection;
    const kept = now.filter((id) => known.has(id));
    if (kept.length < now.length) select(kept);
  }, [saved, select]);

  useEffect(() => {
    if (!view || !wanted || drawn === null) return;
    wallEvents.lookAt(wanted.x, wanted.y);
    want(null);
  }, [view, wanted, want, drawn]);

  const hands = useWallHands(projectId, view, scene);

  return (
    <div
      ref={holder}
      role="application"
      aria-label="Wall"
      aria-describedby="wall-summary"
      tabIndex={0}
      data-state={drawn === saved.head && scene === saved ? "idle" : "busy"}
      data-revision={drawn ?? ""}
      data-tool={tool}
      className="relative size-full touch-none data-[tool=direction]:cursor-crosshair data-[tool=freehand]:cursor-crosshair data-[tool=measure]:cursor-crosshair data-[tool=pen]:cursor-crosshair overflow-hidden bg-chalk focus-visible:outline-offset-[-3px]"
      {...hands}
    >
      <p id="wall-summary" className="sr-only">
        {scene.summary}
      </p>
    </div>
  );
}
