import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import { useForm } from "../../../../api/queries";
import type { Stretch } from "../../../../api/client";
import { withUnit } from "../../../../state/lengths";
import { useView } from "../../../../state/view";
import { StretchCover } from "./cover/StretchCover";
import { OutlineFields } from "./OutlineFields";
import type { ClothProps } from "../../card/elementProps";
import { Tick } from "../../../../parts/fields/Tick";

const ownWords = (stretch: Stretch) => (stretch.cover ? "Own cover" : "Set cover");

/** The edge stretch by stretch: what lies under something, and what a hand says against the stack. */
export function EdgeFields({ projectId, scene, element }: ClothProps) {
  const edits = useEdits(projectId);
  const [opened, setOpened] = useState<number | null>(null);
  const pointAtPath = useView((view) => view.pointAtPath);
  const stretches = useForm(projectId, element.id, scene.head).data?.stretches;
  if (!stretches) return <p className="text-[14px] text-muted">Reading the edge …</p>;
  const touch = (stretch: Stretch, isCovered: boolean | null) =>
    edits.edit({ edit: "touchEdge", elementId: element.id, x: stretch.x, y: stretch.y, isCovered });

  return (
    <>
      <OutlineFields projectId={projectId} scene={scene} element={element} />
      <p className="text-[13px] text-muted">
        What lies under another piece gets no cover. Untick a stretch to leave it without one, or tick a
        hidden one to cover it all the same.
      </p>
      <ul className="max-h-[220px] divide-y divide-line overflow-y-auto rounded-card border border-line">
        {stretches.map((stretch, i) => (
          <li
            key={`${stretch.x} ${stretch.y}`}
            className="flex flex-wrap items-center gap-2 px-2 py-1 text-[14px]"
            onPointerEnter={() => pointAtPath(stretch.path)}
            onPointerLeave={() => pointAtPath(null)}
            onFocus={() => pointAtPath(stretch.path)}
            onBlur={() => pointAtPath(null)}
          >
            <Tick
              label={
                <>
                  <span className="truncate">
                    Stretch {i + 1}, {withUnit(stretch.length, scene.unit)}
                  </span>
                </>
              }
              className=""
              checked={!stretch.isCovered}
              onChanged={(on) => touch(stretch, !on)}
            />
            <span className="ml-auto shrink-0 text-[13px] text-muted">
              {stretch.isByHand ? (
                <button
                  type="button"
                  aria-label={`By hand: stretch ${i + 1} as the stack says`}
                  className="text-indigo hover:underline"
                  onClick={() => touch(stretch, null)}
                >
                  By hand
                </button>
              ) : stretch.isCovered ? (
                "under"
              ) : (
                "open"
              )}
            </span>
            {stretch.isCovered ? null : (
              <button
                type="button"
                aria-expanded={opened === i}
                aria-label={`${ownWords(stretch)}: cover of stretch ${i + 1}`}
                className="shrink-0 text-[13px] text-indigo hover:underline"
                onClick={() => setOpened(opened === i ? null : i)}
              >
                {ownWords(stretch)}
              </button>
            )}
            {opened === i && !stretch.isCovered ? (
              <StretchCover projectId={projectId} scene={scene} element={element} stretch={stretch} />
            ) : null}
          </li>
        ))}
      </ul>
    </>
  );
}
