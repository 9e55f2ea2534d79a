import {
  ChevronLeft,
  ChevronRight,
  FilePlus2,
  LayoutGrid,
  Link2,
  RotateCw,
  TriangleAlert,
  Unlink2,
} from "lucide-react";
import { useEdits } from "../../api/edits";
import type { Sheet } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { IconButton } from "../../parts/IconButton";
import { markOf, type TableProps } from "./tableProps";

interface Props extends TableProps {
  sheets: Sheet[];
  onSheet: (number: number) => void;
}

/** Which sheet, how it is laid, and what hands can do with the chosen shapes. */
export function SheetBar(props: Props) {
  const { projectId, cloth, sheet, sheets, chosen, exports, onSheet } = props;
  const edits = useEdits(projectId);
  const shapes = sheet.shapes.filter((shape) => chosen.includes(markOf(shape)));
  const [first] = shapes;
  const keys = [...new Set(shapes.map((shape) => shape.key))];
  const together = (cloth.cut.together ?? []).some((kept) => keys.some((key) => kept.keys.includes(key)));
  const outdated = exports.filter((each) => !each.isCurrent);
  return (
    <div className="space-y-1 border-b border-line bg-white px-4 py-1.5">
      <div className="flex min-h-8 items-center gap-2">
        {sheets.length > 1 ? (
          <div className="flex items-center gap-1">
            <IconButton
              label="Sheet before"
              disabled={sheet.number === 1}
              onClick={() => onSheet(sheet.number - 1)}
            >
              <ChevronLeft size={17} />
            </IconButton>
            <span className="text-[14px] font-semibold tabular-nums">
              Sheet {sheet.number} of {sheets.length}
            </span>
            <IconButton
              label="Next sheet"
              disabled={sheet.number === sheets.length}
              onClick={() => onSheet(sheet.number + 1)}
            >
              <ChevronRight size={17} />
            </IconButton>
          </div>
        ) : null}
        <p className="min-w-0 flex-1 truncate text-[14px] text-muted" title={cloth.layoutWords}>
          {cloth.layoutWords}
        </p>
        {first ? (
          <Button
            onClick={() =>
              edits.edit({
                edit: "placeShape",
                clothId: cloth.clothId,
                key: first.key,
                copy: first.copy,
                turn: (first.turn + 90) % 360,
              })
            }
          >
            <RotateCw size={15} aria-hidden />
            Turn
          </Button>
        ) : null}
        {first ? (
          <SheetChoice
            sheets={sheets}
            from={sheet.number}
            isAll={shapes.length === sheet.shapes.length}
            onChosen={(number) =>
              edits.edit({
                edit: "toSheet",
                clothId: cloth.clothId,
                shapes: shapes.map(({ key, copy }) => ({ key, copy })),
                sheet: number,
              })
            }
          />
        ) : null}
        {keys.length > 1 && !together && cloth.layout === "packed" ? (
          <Button
            onClick={() => edits.edit({ edit: "keepTogether", clothId: cloth.clothId, keys, together: true })}
          >
            <Link2 size={15} aria-hidden />
            Keep together
          </Button>
        ) : null}
        {together ? (
          <Button
            onClick={() =>
              edits.edit({ edit: "keepTogether", clothId: cloth.clothId, keys, together: false })
            }
          >
            <Unlink2 size={15} aria-hidden />
            Let go
          </Button>
        ) : null}
        {(cloth.cut.places ?? []).length > 0 ? (
          <Button onClick={() => edits.edit({ edit: "layOutAgain", clothId: cloth.clothId })}>
            <LayoutGrid size={15} aria-hidden />
            Lay out again
          </Button>
        ) : null}
      </div>
      {[
        ...sheet.meetings,
        ...(sheet.fits ? [] : ["A shape reaches past the cloth or the mat’s margin."]),
      ].map((words) => (
        <Trouble key={words} words={words} />
      ))}
      {outdated.length > 0 ? (
        <Trouble
          words={`Out of date: ${outdated.map((each) => each.name).join(", ")}. What is cut has changed since; save it again.`}
        />
      ) : null}
    </div>
  );
}

function Trouble({ words }: { words: string }) {
  return (
    <p className="flex items-start gap-2 text-[14px] font-semibold text-madder">
      <TriangleAlert size={16} className="mt-0.5 shrink-0" aria-hidden />
      {words}
    </p>
  );
}

interface SheetChoiceProps {
  sheets: Sheet[];
  from: number;
  /** True when everything on the sheet is chosen: on a new sheet it would lie as it does here. */
  isAll: boolean;
  onChosen: (number: number) => unknown;
}

/** Where the chosen shapes are carried: to one of the other sheets, or to a new one. */
function SheetChoice({ sheets, from, isAll, onChosen }: SheetChoiceProps) {
  const others = sheets.filter((sheet) => sheet.number !== from);
  const fresh = sheets.length + 1;
  if (others.length === 0)
    return (
      <Button disabled={isAll} onClick={() => onChosen(fresh)}>
        <FilePlus2 size={15} aria-hidden />
        To another sheet
      </Button>
    );
  return (
    <Choice
      label="To another sheet"
      labelHidden
      className="w-[168px]"
      value=""
      options={[
        { value: "", label: "To another sheet…" },
        ...others.map(({ number }) => ({ value: String(number), label: `to sheet ${number}` })),
        ...(isAll ? [] : [{ value: String(fresh), label: "to a new sheet" }]),
      ]}
      onChosen={(number) => (number === "" ? undefined : onChosen(Number(number)))}
    />
  );
}
