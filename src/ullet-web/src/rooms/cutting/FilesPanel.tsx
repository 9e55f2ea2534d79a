import { Download, FileText, TriangleAlert } from "lucide-react";
import { useState } from "react";
import type { CutExport } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { useSaveFile } from "../../parts/useSaveFile";
import { markOf, type TableProps } from "./tableProps";
import { Tick } from "../../parts/fields/Tick";

/** Every format of the sheet, of one shape alone, and the page for scissors; what was saved, and what of it is out of date. */
export function FilesPanel({ projectId, cloth, sheet, chosen, exports }: TableProps) {
  const { save, saving } = useSaveFile(projectId);
  const formats = useCatalogue().data?.cutFormats ?? [];
  const [paper, setPaper] = useState("a4");
  const [dpi, setDpi] = useState("300");
  const [smooth, setSmooth] = useState(false);
  const [isAlone, setIsAlone] = useState(false);
  const chosenShape = sheet.shapes.find((each) => chosen.includes(markOf(each)));
  const shape = isAlone ? chosenShape : undefined;
  const what = shape
    ? `element=${shape.elementId}&piece=${shape.ordinal}`
    : `cloth=${cloth.clothId}&sheet=${sheet.number}`;
  const more = `&paper=${paper}&dpi=${dpi}&smooth=${smooth}`;
  const name = shape ? shape.name : cloth.name;
  return (
    <>
      <Choice
        label="What is saved"
        value={shape ? "alone" : "sheet"}
        options={[
          {
            value: "sheet",
            label: `all of ${cloth.name}${sheet.count > 1 ? `, sheet ${sheet.number}` : ""}`,
          },
          ...(chosenShape ? [{ value: "alone", label: `${chosenShape.name} alone` }] : []),
        ]}
        onChosen={(what) => setIsAlone(what === "alone")}
      />
      {chosenShape ? null : (
        <p className="text-[13px] text-muted">Choose a shape on the mat to save it alone.</p>
      )}
      {cloth.mirrorReason ? (
        <p className="text-[14px] font-semibold text-madder">
          Mirrored: {cloth.mirrorReason}. Do not mirror it again.
        </p>
      ) : null}
      <ul className="divide-y divide-line rounded-card border border-line">
        {formats.map((format) => (
          <li key={format.id} className="flex items-center gap-2 px-3 py-2">
            <span className="min-w-0 flex-1">
              <span className="block font-semibold">{format.name}</span>
              <span className="block text-[13px] text-muted">{format.about}</span>
            </span>
            <Button
              disabled={saving !== null}
              aria-label={`Save ${format.name} of ${name}`}
              onClick={() => void save(`/api/projects/${projectId}/cut.${format.ending}?${what}${more}`)}
            >
              <Download size={15} aria-hidden />
              Save
            </Button>
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Paper of the PDF"
          value={paper}
          options={[
            { value: "a4", label: "A4, tiled" },
            { value: "letter", label: "Letter, tiled" },
            { value: "sheet", label: "one sheet, as the mat" },
          ]}
          onChosen={setPaper}
        />
        <Choice
          label="Pixels per inch of the PNG"
          value={dpi}
          options={["72", "96", "150", "300", "600"].map((each) => ({ value: each, label: each }))}
          onChosen={setDpi}
        />
      </div>
      <Tick
        label="Smooth the edges of the PNG with grey"
        checked={smooth}
        onChanged={(on) => setSmooth(on)}
      />
      <Button
        disabled={saving !== null}
        onClick={() =>
          void save(`/api/projects/${projectId}/scissors.pdf?paper=${paper === "letter" ? "letter" : "a4"}`)
        }
      >
        <FileText size={15} aria-hidden />
        Page for scissors, all cloths
      </Button>
      <Saved exports={exports} />
    </>
  );
}

function Saved({ exports }: { exports: CutExport[] }) {
  if (exports.length === 0)
    return <p className="text-[13px] text-muted">Nothing was saved of this cloth yet.</p>;
  return (
    <section aria-label="Saved so far">
      <h3 className="font-semibold">Saved so far</h3>
      <ul className="space-y-1 text-[13px]">
        {exports.map((each) => (
          <li key={`${each.format} ${each.sheet} ${each.shapeKey ?? ""}`} data-current={each.isCurrent}>
            <span className="block break-words">{each.name}</span>
            {each.isCurrent ? (
              <span className="text-muted">matches the stitching</span>
            ) : (
              <span className="flex items-center gap-1 font-semibold text-madder">
                <TriangleAlert size={14} aria-hidden />
                out of date: save it again
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
