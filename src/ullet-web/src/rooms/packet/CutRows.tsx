import { Download, Scissors, TriangleAlert } from "lucide-react";
import { useCatalogue, useExports } from "../../api/queries";
import type { Scene, Sheet } from "../../api/client";
import { Button } from "../../parts/Button";
import { useSaveFile } from "../../parts/useSaveFile";
import { sizeText } from "../../state/lengths";

/** The cut files of a packet, one for each sheet, and the page for scissors; what is out of date says so. */
export function CutRows({ projectId, scene }: { projectId: string; scene: Scene }) {
  const { save, saving } = useSaveFile(projectId);
  const exports = useExports(projectId, scene.head).data ?? [];
  const formats = useCatalogue().data?.cutFormats.filter((format) => format.isRunByCutter) ?? [];
  const files = `/api/projects/${projectId}`;
  const byCutter = scene.sheets.filter(
    (sheet) => !scene.cutCloths.find((cloth) => cloth.clothId === sheet.clothId)?.isByHand,
  );
  return (
    <>
      {byCutter.map((sheet) => {
        const name = `Cut file, ${sheet.clothName}${sheet.count > 1 ? `, sheet ${sheet.number}` : ""}`;
        const old = exports.filter(
          (each) => each.clothId === sheet.clothId && each.sheet === sheet.number && !each.isCurrent,
        );
        return (
          <li key={`${sheet.clothId} ${sheet.number}`} className="flex items-center gap-4 px-4 py-2.5">
            <Scissors size={22} className="shrink-0 text-muted" aria-hidden />
            <span className="min-w-0 flex-1">
              <span className="block font-semibold">
                {name}
                {sheet.isMirrored ? <span className="ml-2 text-[13px] text-madder">mirrored</span> : null}
              </span>
              <span className="block text-[14px] text-muted">{facts(sheet, scene)}</span>
              {old.length > 0 ? (
                <span className="flex items-center gap-1.5 text-[14px] font-semibold text-madder">
                  <TriangleAlert size={15} aria-hidden />
                  Out of date: the {old.map((each) => each.format.toUpperCase()).join(" and ")} saved before{" "}
                  {old.length > 1 ? "do" : "does"} not match the stitching any more. Save it again.
                </span>
              ) : null}
            </span>
            {formats.map((format) => (
              <Button
                key={format.id}
                disabled={saving !== null}
                aria-label={`${format.name}: ${name}`}
                onClick={() =>
                  void save(`${files}/cut.${format.ending}?cloth=${sheet.clothId}&sheet=${sheet.number}`)
                }
              >
                <Download size={15} aria-hidden />
                {format.name}
              </Button>
            ))}
          </li>
        );
      })}
      {scene.sheets.length > 0 ? (
        <li className="flex items-center gap-4 px-4 py-2.5">
          <Scissors size={22} className="shrink-0 text-muted" aria-hidden />
          <span className="min-w-0 flex-1">
            <span className="block font-semibold">Page for scissors</span>
            <span className="block text-[14px] text-muted">
              Everything that is cut at true size, labelled and marked, with a check square; PDF on A4
            </span>
          </span>
          <Button
            disabled={saving !== null}
            aria-label="PDF: Page for scissors"
            onClick={() => void save(`${files}/scissors.pdf`)}
          >
            <Download size={15} aria-hidden />
            PDF
          </Button>
        </li>
      ) : null}
    </>
  );
}

function facts(sheet: Sheet, scene: Scene) {
  const shown = sheet.shapes
    .slice(0, 4)
    .map((shape) => `${shape.name} ${sizeText(shape.box.width, shape.box.height, scene.unit)}`);
  const more = sheet.shapes.length - shown.length;
  return shown.join("; ") + (more > 0 ? `; and ${more} more` : "");
}
