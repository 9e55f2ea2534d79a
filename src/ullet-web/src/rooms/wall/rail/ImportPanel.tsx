import { useRef, useState } from "react";
import { useEdits } from "../../../api/edits";
import {
  answered,
  api,
  Refused,
  type DrawingWish,
  type ImportPreview,
  type Scene,
} from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import { FormPanel } from "../../../parts/FormPanel";
import { sizeText, withUnit } from "../../../state/lengths";
import { say } from "../../../state/messages";

interface Props {
  projectId: string;
  scene: Scene;
  imported: ImportPreview;
  onClose: () => void;
}

const UNITS = [
  { value: String(25.4 / 96), label: "1/96 in, as web pages" },
  { value: String(25.4 / 90), label: "1/90 in" },
  { value: String(25.4 / 72), label: "1/72 in, a point" },
  { value: "1", label: "1 mm" },
  { value: "0.0254", label: "1/1000 in" },
  { value: "10", label: "1 cm" },
  { value: "25.4", label: "1 in" },
];

/** An imported drawing before it goes on the wall: what becomes of it, at which true size. */
export function ImportPanel({ projectId, scene, imported, onClose }: Props) {
  const edits = useEdits(projectId);
  const [drawing, setDrawing] = useState(imported.drawing);
  const [wish, setWish] = useState<DrawingWish>({
    innerAreHoles: true,
    mmPerUnit: imported.drawing?.saysSize ? null : (imported.drawing?.mmPerUnit ?? null),
  });
  const newest = useRef(wish);
  if (!drawing) return null;
  const { box } = drawing;

  const change = async (part: DrawingWish) => {
    // Of the newest wish, and wished at once: another may be typed, or the button pressed, in the same breath.
    const before = newest.current;
    const next = { ...before, ...part };
    newest.current = next;
    try {
      const drawn = await answered(
        api.POST("/api/import/{token}/drawing", {
          params: { path: { token: imported.token } },
          body: next,
        }),
      );
      if (newest.current !== next) return;
      setDrawing(drawn);
      setWish(next);
    } catch (wrong) {
      if (newest.current === next) newest.current = before;
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };

  const add = async () => {
    if (
      await edits.add({
        edit: "addDrawing",
        token: imported.token,
        name: imported.name,
        ...newest.current,
      })
    )
      onClose();
  };

  const pad = Math.max(box.width, box.height) * 0.06 + 0.5;
  const count = drawing.pieces + drawing.lines;
  return (
    <FormPanel
      title={`Import ${imported.name}`}
      size="large"
      action="Put on the wall"
      disabled={count === 0}
      onSent={add}
      onClose={onClose}
    >
      <div className="grid min-h-0 flex-1 grid-cols-[1fr_320px] gap-5">
        <div className="flex min-h-0 items-center justify-center rounded-card border border-line bg-chalk p-3">
          <svg
            role="img"
            aria-label={`The drawing, ${sizeText(box.width, box.height, scene.unit).replace("×", "by")}`}
            className="h-full w-full"
            viewBox={`${box.x - pad} ${box.y - pad} ${box.width + 2 * pad} ${box.height + 2 * pad}`}
          >
            {drawing.piecePaths.map((path, i) => (
              <path
                key={i}
                d={path}
                fill="#cfd5ee"
                fillRule="evenodd"
                stroke="#3b4ba3"
                strokeWidth="1.5"
                vectorEffect="non-scaling-stroke"
              />
            ))}
            <path
              d={drawing.linePath}
              fill="none"
              stroke="#1d2a3a"
              strokeWidth="1.75"
              strokeDasharray="7 4"
              vectorEffect="non-scaling-stroke"
            />
          </svg>
        </div>
        <div className="space-y-3 overflow-y-auto pr-1">
          <dl className="rounded-card bg-chalk px-3 py-2">
            <dt className="text-[13px] text-muted">True size on the wall</dt>
            <dd className="text-[19px] font-semibold">{sizeText(box.width, box.height, scene.unit)}</dd>
            <dd className="text-muted">
              {sizeText(box.width, box.height, scene.unit === "inch" ? "millimetre" : "inch")}
            </dd>
          </dl>
          {drawing.saysSize ? (
            <p className="text-[14px] text-muted">This size is the file’s own.</p>
          ) : (
            <Choice
              label="The file gives no real size. One of its units is"
              value={String(UNITS.find(({ value }) => Number(value) === wish.mmPerUnit)?.value ?? "")}
              options={[
                ...(UNITS.some(({ value }) => Number(value) === wish.mmPerUnit)
                  ? []
                  : [
                      {
                        value: "",
                        label: wish.width == null ? "unclear: made this large" : "as the width says",
                      },
                    ]),
                ...UNITS,
              ]}
              onChosen={(unit) =>
                unit === "" ? undefined : void change({ mmPerUnit: Number(unit), width: null })
              }
            />
          )}
          <LengthField
            label="Or type its width; all else follows"
            value={box.width}
            unit={scene.unit}
            onTyped={(width) => void change({ width, mmPerUnit: null })}
          />
          <ul className="list-inside list-disc text-[14px]">
            <li>
              {drawing.pieces} closed {drawing.pieces === 1 ? "piece" : "pieces"}
              {drawing.holes ? ` with ${drawing.holes} ${drawing.holes === 1 ? "hole" : "holes"}` : ""}
            </li>
            <li>
              {drawing.lines} open {drawing.lines === 1 ? "line" : "lines"}
              {drawing.lines ? ", sewn as lines" : ""}
            </li>
            {drawing.tooSmall ? (
              <li>
                {drawing.tooSmall} left out for being under {withUnit(1, scene.unit)}
              </li>
            ) : null}
            {drawing.leftOut.map((words) => (
              <li key={words} className="text-madder">
                {words}
              </li>
            ))}
          </ul>
          <Choice
            label="Outlines inside others of their colour"
            value={wish.innerAreHoles ? "holes" : "pieces"}
            options={[
              { value: "holes", label: "are holes" },
              { value: "pieces", label: "are pieces of their own" },
            ]}
            onChosen={(inner) => void change({ innerAreHoles: inner === "holes" })}
          />
          {drawing.crossing ? (
            <Choice
              label={`${drawing.crossing === 1 ? "One outline crosses" : `${drawing.crossing} outlines cross`} itself`}
              value={wish.crossing ?? "file"}
              options={[
                { value: "file", label: "as the file fills it" },
                { value: "nonZero", label: "keep the whole outside" },
                { value: "evenOdd", label: "leave what overlaps open (even-odd)" },
              ]}
              onChosen={(rule) =>
                void change({ crossing: rule === "file" ? null : (rule as DrawingWish["crossing"]) })
              }
            />
          ) : null}
        </div>
      </div>
    </FormPanel>
  );
}
