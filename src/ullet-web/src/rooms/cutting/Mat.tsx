import { useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { useEdits } from "../../api/edits";
import type { SheetShape } from "../../api/client";
import { MatGround, MatPicture } from "../../parts/MatGround";
import { sizeText } from "../../state/lengths";
import { useView } from "../../state/view";
import { MarginLine } from "./MarginLine";
import { MatNumbers } from "./MatNumbers";
import { boxOf, snapped, unitOf } from "./matSnap";
import { markOf, toggled, type TableProps } from "./tableProps";

interface Drag {
  shape: SheetShape;
  startX: number;
  startY: number;
  x: number;
  y: number;
}

/** The mat with its shapes in mm: chosen, dragged with catching edges, nudged and turned by keys. */
export function Mat({ projectId, scene, cloth, sheet, chosen, choose }: TableProps) {
  const edits = useEdits(projectId);
  const preview = useView((view) => view.preview);
  const svg = useRef<SVGSVGElement>(null);
  const [drag, setDrag] = useState<Drag | null>(null);
  const ground = scene.cloths.find((each) => each.id === cloth.clothId);
  const right = Math.max(sheet.matWidth, ...sheet.shapes.map((shape) => shape.box.x + shape.box.width));
  const bottom = Math.max(sheet.matHeight, ...sheet.shapes.map((shape) => shape.box.y + shape.box.height));
  // Numbers as large as 12 pixels on the smallest screen; the size card says which piece each is.
  const letters = Math.max(right, bottom) / 44;
  const warned = warnings(
    (preview ?? scene).sheets.find((each) => each.clothId === cloth.clothId && each.number === sheet.number)
      ?.shapes,
  );

  const mm = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix ?? undefined);
    return { x: at.x, y: at.y };
  };

  const wish = (shape: SheetShape, x: number, y: number) =>
    ({
      edit: "placeShape",
      clothId: cloth.clothId,
      key: shape.key,
      copy: shape.copy,
      sheet: sheet.number,
      x: shape.box.x + x,
      y: shape.box.y + y,
    }) as const;

  const move = (event: PointerEvent) => {
    if (!drag) return;
    const at = mm(event);
    const unit = unitOf(sheet, drag.shape);
    const others = sheet.shapes.filter((shape) => !unit.includes(shape));
    const free = { x: at.x - drag.startX, y: at.y - drag.startY };
    const by = event.altKey ? free : snapped(boxOf(unit), free, others, cloth.usable, cloth.cut.gap ?? 2);
    setDrag({ ...drag, ...by });
    void edits.preview(wish(drag.shape, by.x, by.y));
  };

  const drop = () => {
    if (!drag) return;
    setDrag(null);
    if (Math.hypot(drag.x, drag.y) < 0.2) {
      edits.forgetPreview();
      return;
    }
    void edits.edit(wish(drag.shape, drag.x, drag.y));
  };

  const letGo = () => {
    setDrag(null);
    edits.forgetPreview();
  };

  const keys = (event: KeyboardEvent) => {
    const [shape] = sheet.shapes.filter((each) => chosen.includes(markOf(each)));
    const step = event.shiftKey ? 10 : event.altKey ? 0.1 : 1;
    const way = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (event.key === "PageDown" || event.key === "PageUp") {
      const at = sheet.shapes.findIndex((each) => chosen.includes(markOf(each)));
      const next = sheet.shapes.at((at + (event.key === "PageDown" ? 1 : -1)) % sheet.shapes.length);
      if (next) choose([markOf(next)]);
      event.preventDefault();
    } else if (event.key === "Escape") {
      letGo();
      choose([]);
    } else if (shape && way) {
      event.preventDefault();
      void edits.edit(wish(shape, (way[0] ?? 0) * step, (way[1] ?? 0) * step));
    } else if (shape && event.key.toLowerCase() === "r" && !event.ctrlKey) {
      void edits.edit({ ...wish(shape, 0, 0), turn: (shape.turn + 90) % 360 });
    }
  };

  const words = sheet.shapes.map(
    (shape) => `${shape.name} ${sizeText(shape.box.width, shape.box.height, scene.unit).replace("×", "by")}`,
  );
  return (
    <div className="flex min-h-0 flex-1 flex-col p-3">
      {cloth.mirrorReason ? (
        <p className="pb-1 text-[14px] font-semibold text-madder">⇋ mirrored: {cloth.mirrorReason}</p>
      ) : null}
      <div
        role="application"
        tabIndex={0}
        aria-label={`Mat with ${words.join(", ")}. Page up and down choose a shape, arrows move it, R turns it.`}
        className="min-h-0 flex-1"
        onKeyDown={keys}
      >
        <svg
          ref={svg}
          viewBox={`-4 -4 ${right + 8} ${bottom + 8}`}
          className="size-full touch-none"
          aria-hidden
          onPointerMove={move}
          onPointerUp={drop}
          onPointerCancel={letGo}
          onPointerDown={(event) => {
            if (event.target === event.currentTarget) choose([]);
          }}
        >
          <MatGround width={sheet.matWidth} height={sheet.matHeight} />
          <rect
            {...cloth.usable}
            fill={ground?.colour ?? "#ffffff"}
            fillOpacity={cloth.cut.usableWidth == null ? 0 : 0.25}
            stroke="#1f7a6d"
            strokeWidth="0.5"
            strokeDasharray="3 2"
          />
          {cloth.cut.photo ? <MatPicture photo={cloth.cut.photo} /> : null}
          {sheet.weedingBox ? (
            <rect {...sheet.weedingBox} fill="none" stroke="#1d2a3a" strokeWidth="0.5" />
          ) : null}
          {sheet.shapes.map((shape) => {
            const moves = drag !== null && shape.unit === drag.shape.unit;
            const isChosen = chosen.includes(markOf(shape));
            return (
              <g
                key={markOf(shape)}
                data-shape={shape.name}
                className="cursor-grab"
                transform={moves ? `translate(${drag.x} ${drag.y})` : undefined}
                onPointerDown={(event) => {
                  event.currentTarget.setPointerCapture(event.pointerId);
                  const mark = markOf(shape);
                  choose(event.shiftKey ? toggled(chosen, mark) : [mark]);
                  const at = mm(event);
                  setDrag({ shape, startX: at.x, startY: at.y, x: 0, y: 0 });
                }}
              >
                <path
                  d={shape.path}
                  fill={ground?.colour ?? "#ffffff"}
                  fillOpacity={cloth.cut.photo ? 0.35 : 1}
                  fillRule="evenodd"
                  stroke={warned.has(markOf(shape)) ? "#b3343a" : isChosen ? "#3b4ba3" : "#1d2a3a"}
                  strokeWidth={warned.has(markOf(shape)) || isChosen ? 1.6 : 0.5}
                  strokeDasharray={shape.role === "cut" ? undefined : "2 1.4"}
                />
                <path d={shape.marks} fill="none" stroke="#ffffff" strokeWidth="1.1" strokeOpacity="0.8" />
                <path d={shape.marks} fill="none" stroke="#1d2a3a" strokeWidth="0.45" />
                <path
                  d={shape.folds}
                  fill="none"
                  stroke="#b3343a"
                  strokeWidth="0.6"
                  strokeDasharray="3 1.5"
                />
              </g>
            );
          })}
          {drag === null
            ? sheet.shapes
                .filter((shape) => chosen.includes(markOf(shape)) && !shape.meetsOther)
                .map((shape) => (
                  <MarginLine key={markOf(shape)} projectId={projectId} scene={scene} shape={shape} />
                ))
            : null}
          <MatNumbers shapes={sheet.shapes} size={letters} drag={drag} />
        </svg>
      </div>
    </div>
  );
}

/** The shapes that lie too near to others. */
function warnings(shapes: SheetShape[] | undefined): Set<string> {
  return new Set((shapes ?? []).filter((shape) => shape.meetsOther).map(markOf));
}
