import { Printer } from "lucide-react";
import { useEdits } from "../../api/edits";
import type { SheetShape, SizeCard, Unit } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { LengthField } from "../../parts/fields/LengthField";
import { sizeText } from "../../state/lengths";
import { useSaveFile } from "../../parts/useSaveFile";
import { markOf, toggled, type TableProps } from "./tableProps";
import { Pill } from "../../parts/Pill";

const ROLES = [
  { value: "cut", label: "cut" },
  { value: "draw", label: "draw" },
  { value: "score", label: "score" },
];

/** Every shape of the sheet with its size, in each way in which a cutting program may show it. */
export function SizesPanel({ projectId, scene, cloth, sheet, chosen, choose }: TableProps) {
  const edits = useEdits(projectId);
  const { save, saving } = useSaveFile(projectId);
  return (
    <>
      <div className="flex items-start gap-2">
        <p className="flex-1 text-[13px] text-muted">
          A program may read a file at another scale and show one of these widths. Type the number in bold
          there. Choose a shape for its own readings.
        </p>
        <Button
          disabled={saving !== null}
          onClick={() => void save(`/api/projects/${projectId}/size-card.pdf`)}
        >
          <Printer size={15} aria-hidden />
          Print
        </Button>
      </div>
      {sheet.shapes.length > 1 ? (
        <div className="rounded-card border border-line px-3 py-2">
          <p className="font-semibold">All of it as it lies</p>
          <Readings size={sheet.size} unit={scene.unit} />
        </div>
      ) : null}
      <ul className="space-y-2">
        {sheet.shapes.map((shape, i) => (
          <li
            key={markOf(shape)}
            data-chosen={chosen.includes(markOf(shape)) || undefined}
            className="rounded-card border border-line px-3 py-2 data-chosen:border-indigo data-chosen:ring-1 data-chosen:ring-indigo"
          >
            <ShapeHead
              shape={shape}
              number={i + 1}
              chosen={chosen.includes(markOf(shape))}
              onChosen={(more) => choose(more ? toggled(chosen, markOf(shape)) : [markOf(shape)])}
            />
            <Readings
              size={shape.size}
              unit={scene.unit}
              isShort={!chosen.includes(markOf(shape)) && sheet.shapes.length > 1}
            />
            {chosen.includes(markOf(shape)) && shape.kind === "piece" ? (
              <LengthField
                label="Cut larger all round (less than 0: smaller)"
                value={shape.allowance}
                unit={scene.unit}
                onTyped={(allowance) =>
                  edits.edit({ edit: "setCutAllowance", elementId: shape.elementId, allowance })
                }
              />
            ) : null}
            <div className="mt-1 flex items-center gap-2">
              <p className="flex-1 text-[13px] text-muted">{shape.words}</p>
              <Choice
                label={`What the outline of ${shape.name} is for`}
                labelHidden
                className="w-[84px]"
                value={shape.role}
                options={ROLES}
                onChosen={(role) =>
                  edits.edit({
                    edit: "setCutRole",
                    clothId: cloth.clothId,
                    key: shape.key,
                    role: role as SheetShape["role"],
                  })
                }
              />
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}

function ShapeHead(props: {
  shape: SheetShape;
  number: number;
  chosen: boolean;
  onChosen: (more: boolean) => void;
}) {
  const { shape, number, chosen, onChosen } = props;
  return (
    <button
      type="button"
      aria-pressed={chosen}
      className="flex w-full items-center gap-2 rounded-md text-left font-semibold hover:text-indigo"
      onClick={(event) => onChosen(event.shiftKey)}
    >
      <Pill>{number}</Pill>
      {shape.name}
      {shape.copy > 0 ? <span className="font-normal text-muted">copy {shape.copy + 1}</span> : null}
    </button>
  );
}

/** A size; short without what other programs show. */
function Readings({ size, unit, isShort = false }: { size: SizeCard; unit: Unit; isShort?: boolean }) {
  return (
    <>
      <p className="text-[15px] tabular-nums">
        {sizeText(size.width, size.height, unit)}
        <span className="block text-[13px] text-muted">
          {unit === "inch" ? `${size.width.toFixed(1)} × ${size.height.toFixed(1)} mm` : `${size.inches} in`}{" "}
          · nearest sixteenth {size.sixteenths}
        </span>
      </p>
      {isShort ? null : <Shown size={size} />}
      <p className="text-[13px]">
        Width to type, rounded up: <strong>{size.typed}</strong>
      </p>
    </>
  );
}

/** The width in mm that programs show which take the file at another scale. */
function Shown({ size }: { size: SizeCard }) {
  return (
    <table className="mt-1 w-full text-[13px] tabular-nums">
      <caption className="sr-only">Width that a program shows, mm</caption>
      <thead>
        <tr className="text-left text-muted">
          <th className="font-normal">72 per in</th>
          <th className="font-normal">90 per in</th>
          <th className="font-normal">96 per in</th>
          <th className="font-normal">tenths</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>{size.at72.toFixed(1)}</td>
          <td>{size.at90.toFixed(1)}</td>
          <td>{size.at96.toFixed(1)}</td>
          <td>{size.atTenths.toFixed(1)}</td>
        </tr>
      </tbody>
    </table>
  );
}
