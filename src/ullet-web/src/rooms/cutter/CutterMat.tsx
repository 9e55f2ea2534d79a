import { useRef, useState, type PointerEvent } from "react";
import type { ClothCut, DryRun, Scene } from "../../api/client";
import { MatGround, MatPicture } from "../../parts/MatGround";
import { cutSoFar } from "./cutSoFar";
import type { Cutter } from "./useCutter";

interface Props {
  scene: Scene;
  cloth: ClothCut;
  cutter: Cutter;
}

const RING = 6;

/** The device's mat: the material with the file's lines, dragged into place; the knife round the frame and along the lines. */
export function CutterMat({ scene, cloth, cutter }: Props) {
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<{ from: DOMPoint; x: number; y: number } | null>(null);
  const { read, stage, setting, test } = cutter;
  const { width, height } = cloth.mat;
  const ground = scene.cloths.find((each) => each.id === cloth.clothId)?.colour ?? "#ffffff";
  const run = stage.doing === "waiting" ? read : stage.run;
  const cutting = stage.doing === "cutting" || stage.doing === "done";
  const film = cutting ? cutSoFar(stage.run, stage.share) : null;
  const knife = stage.doing === "frame" ? roundFrame(stage.run, stage.share) : film?.blade;

  const mm = (event: PointerEvent) =>
    new DOMPoint(event.clientX, event.clientY).matrixTransform(
      svg.current?.getScreenCTM()?.inverse() ?? undefined,
    );

  return (
    <svg
      ref={svg}
      viewBox={`-4 -4 ${width + 8} ${height + 8}`}
      className="size-full touch-none"
      aria-hidden
      onPointerMove={(event) => {
        if (!drag) return;
        const at = mm(event);
        setDrag({ ...drag, x: at.x - drag.from.x, y: at.y - drag.from.y });
      }}
      onPointerUp={() => {
        if (!drag) return;
        setDrag(null);
        if (Math.hypot(drag.x, drag.y) > 0.2)
          void cutter.change({ x: tenth(setting.x + drag.x), y: tenth(setting.y + drag.y) });
      }}
    >
      <MatGround width={width} height={height} />
      <g transform={drag ? `translate(${drag.x} ${drag.y})` : undefined}>
        {run ? (
          <rect
            {...material(run.frame, test)}
            rx="2"
            fill={cloth.cut.photo ? "transparent" : ground}
            stroke="#1d2a3a"
            strokeOpacity="0.35"
            strokeWidth="0.5"
            className={stage.doing === "waiting" ? "cursor-grab" : undefined}
            onPointerDown={(event) => {
              if (stage.doing !== "waiting") return;
              event.currentTarget.setPointerCapture(event.pointerId);
              setDrag({ from: mm(event), x: 0, y: 0 });
            }}
          />
        ) : null}
        {cloth.cut.photo ? (
          <g pointerEvents="none" opacity="0.9">
            <MatPicture photo={cloth.cut.photo} />
          </g>
        ) : null}
        {run ? (
          <g pointerEvents="none" fill="none" strokeWidth="0.8">
            <rect
              x={run.frame.x}
              y={run.frame.y}
              width={run.frame.width}
              height={run.frame.height}
              stroke={run.isOnMat ? "#1f7a6d" : "#b3343a"}
              strokeDasharray="4 3"
            />
            {run.lines.map((line, i) => (
              <path
                key={i}
                d={line.path}
                stroke={line.role === "cut" ? (cloth.cut.photo ? "#1d2a3a" : "#ffffff") : "#3b4ba3"}
                strokeOpacity={cloth.cut.photo ? 0.5 : 0.9}
                strokeWidth={line.role === "cut" ? 1 : 0.5}
              />
            ))}
          </g>
        ) : null}
      </g>
      {film ? (
        <g pointerEvents="none" fill="none">
          {film.cut.map((points, i) =>
            points ? <polyline key={i} points={points} {...strokeOf(stage, i)} /> : null,
          )}
        </g>
      ) : null}
      {test?.ringX != null && test.ringY != null ? (
        <Ring through={test.through} at={{ x: test.ringX, y: test.ringY }} />
      ) : null}
      {knife ? <Knife x={knife[0]} y={knife[1]} isUp={stage.doing === "frame"} /> : null}
    </svg>
  );
}

/** The pen draws thinly; what the blade went round is dark, and broken where the cloth still holds it. */
function strokeOf(stage: Cutter["stage"], line: number) {
  if (stage.doing === "waiting") return {};
  if (stage.run.lines[line]?.role !== "cut") return { stroke: "#3b4ba3", strokeWidth: 0.6 };
  return stage.doing === "done" && !stage.run.isThrough
    ? { stroke: "#b3343a", strokeWidth: 1.4, strokeDasharray: "3 2" }
    : { stroke: "#1d2a3a", strokeWidth: 1.4 };
}

const tenth = (mm: number) => Math.round(mm * 10) / 10;

/** Cloth left all round what is cut, mm. */
const MARGIN = 6;

/** The cloth on the mat: round what is cut, and round the test ring that was cut in it. */
function material(frame: DryRun["frame"], test: Cutter["test"]) {
  const boxes = [frame];
  if (test?.ringX != null && test.ringY != null)
    boxes.push({ x: test.ringX - RING, y: test.ringY - RING, width: 2 * RING, height: 2 * RING });
  const [left, top] = [Math.min(...boxes.map((box) => box.x)), Math.min(...boxes.map((box) => box.y))];
  const right = Math.max(...boxes.map((box) => box.x + box.width));
  const bottom = Math.max(...boxes.map((box) => box.y + box.height));
  return {
    x: left - MARGIN,
    y: top - MARGIN,
    width: right - left + 2 * MARGIN,
    height: bottom - top + 2 * MARGIN,
  };
}

/** The test ring with its tab: whole where the blade was through. */
function Ring({ through, at }: { through: boolean[]; at: { x: number; y: number } }) {
  const place = (i: number) => {
    const angle = (i / through.length) * 2 * Math.PI;
    return `${at.x + RING * Math.cos(angle)} ${at.y + RING * Math.sin(angle)}`;
  };
  return (
    <g>
      <circle cx={at.x} cy={at.y} r={RING + 3} fill="#ffffff" fillOpacity="0.85" />
      <rect x={at.x - 1.5} y={at.y - RING - 3} width="3" height="3" fill="#1d2a3a" />
      {through.map((isThrough, i) => (
        <path
          key={i}
          d={`M${place(i)}L${place(i + 1)}`}
          stroke={isThrough ? "#1f7a6d" : "#b3343a"}
          strokeWidth={isThrough ? 1.4 : 0.6}
          strokeDasharray={isThrough ? undefined : "0.5 0.5"}
        />
      ))}
    </g>
  );
}

/** The knife in its holder: open while it is up, dark while it cuts. */
function Knife({ x, y, isUp }: { x: number; y: number; isUp: boolean }) {
  return (
    <g transform={`translate(${x} ${y})`} pointerEvents="none">
      <circle r="5" fill={isUp ? "#ffffff" : "#1d2a3a"} fillOpacity="0.9" stroke="#1d2a3a" strokeWidth="1" />
      <path d="M0-2.5L1.4 0L0 3.4L-1.4 0Z" fill={isUp ? "#1d2a3a" : "#ffffff"} />
    </g>
  );
}

function roundFrame(run: DryRun, share: number): [number, number] {
  const { x, y, width, height } = run.frame;
  const way = share * 2 * (width + height);
  if (way < width) return [x + way, y];
  if (way < width + height) return [x + width, y + way - width];
  if (way < 2 * width + height) return [x + width - (way - width - height), y + height];
  return [x, y + height - (way - 2 * width - height)];
}
