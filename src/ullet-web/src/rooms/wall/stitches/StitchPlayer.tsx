import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { fetchFile } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import type { Made } from "../../../api/elements";
import { useScene } from "../../../api/queries";
import { SlideField } from "../../../parts/fields/SlideField";
import { FormPanel } from "../../../parts/FormPanel";
import { ThreadCanvas, type ShownThread } from "./ThreadCanvas";

interface Props {
  projectId: string;
  element: Made<"opened">;
  onClose: () => void;
}

/** One block stitch by stitch: drawn up to where the slider stands, and split there. */
export function StitchPlayer({ projectId, element, onClose }: Props) {
  const edits = useEdits(projectId);
  const scene = useScene(projectId).data;
  const read = useQuery({
    queryKey: ["needle", projectId, element.id, scene?.head],
    queryFn: async ({ signal }) =>
      new Float32Array(await fetchFile(`/api/projects/${projectId}/elements/${element.id}/needle`, signal)),
  });
  const points = read.data;
  const places = useMemo(() => (points ? placesOf(points) : []), [points]);
  const [at, setAt] = useState<number | null>(null);
  const shown = Math.min(at ?? Math.floor(places.length / 2), Math.max(0, places.length - 1));
  const colour =
    scene?.threads.find((thread) => thread.id === element.making.threadId)?.colour ??
    scene?.threads.find((thread) => thread.id === scene.hooping.coverThreadId)?.colour ??
    "#4a5868";
  const threads = useMemo<ShownThread[]>(() => {
    if (!points) return [];
    const cut = places[shown] ?? 0;
    return [
      { points: points.slice(cut), colour, isFaint: true },
      { points: points.slice(0, cut + 2), colour },
    ];
  }, [points, places, shown, colour]);
  const index = places[shown];
  const needle = points && index !== undefined ? { x: points[index] ?? 0, y: points[index + 1] ?? 0 } : null;

  const split = async () => {
    if (await edits.edit({ edit: "splitOpened", elementId: element.id, where: "point", at: shown }))
      onClose();
  };

  return (
    <FormPanel
      title={`${element.name}, stitch by stitch`}
      size="large"
      action="Split here"
      disabled={shown < 1}
      hint="What is strong is sewn before the needle; the part after it becomes a block of its own."
      onSent={split}
      onClose={onClose}
    >
      <div className="min-h-0 flex-1 rounded-card border border-line bg-chalk p-2">
        <ThreadCanvas threads={threads} needle={needle} label={`The block up to stitch ${shown + 1}`} />
      </div>
      <SlideField
        label={`Stitch, of ${places.length.toLocaleString("en-GB")}`}
        value={shown + 1}
        least={1}
        most={Math.max(1, places.length)}
        step={1}
        digits={0}
        onSlide={(value) => setAt(value - 1)}
        onTaken={(value) => setAt(value - 1)}
      />
    </FormPanel>
  );
}

/** Where each needle point stands among the floats. */
function placesOf(points: Float32Array): number[] {
  const places: number[] = [];
  for (let i = 0; i + 1 < points.length; i += 2) if (!Number.isNaN(points[i] ?? NaN)) places.push(i);
  return places;
}
