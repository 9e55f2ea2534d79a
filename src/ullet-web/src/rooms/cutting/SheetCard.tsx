import { Download } from "lucide-react";
import { useEdits } from "../../api/edits";
import type { Scene, Sheet, SheetShape } from "../../api/client";
import { buttonClass } from "../../parts/Button";
import { LengthField } from "../../parts/LengthField";
import { inches } from "../../state/lengths";

interface Props {
  projectId: string;
  scene: Scene;
  sheet: Sheet;
}

/** Sizes, mirror, mat, and the file. */
export function SheetCard({ projectId, scene, sheet }: Props) {
  const edits = useEdits(projectId);
  return (
    <aside
      aria-label="Size card"
      className="flex w-[352px] shrink-0 flex-col gap-4 overflow-y-auto border-l border-line bg-white p-4"
    >
      <div>
        <h2 className="font-head text-[19px] font-semibold">{sheet.clothName}</h2>
        <p className="text-muted">
          {sheet.sideBySide
            ? "Side by side, because in their places the shapes would touch or run into each other."
            : "In place: shapes lie to one another as they do on the wall."}
        </p>
        {sheet.fits ? null : <p className="mt-1 font-semibold text-madder">A shape reaches past the mat.</p>}
      </div>
      <ul className="space-y-3">
        {sheet.shapes.map((shape, i) => (
          <SizeRow
            key={`${shape.elementId}.${shape.ordinal}`}
            projectId={projectId}
            number={i + 1}
            shape={shape}
          />
        ))}
      </ul>
      <label className="flex items-start gap-2">
        <input
          type="checkbox"
          className="mt-1 size-4 accent-verdigris"
          checked={sheet.isMirrored}
          onChange={(event) =>
            void edits.edit({ edit: "mirrorCloth", clothId: sheet.clothId, mirrored: event.target.checked })
          }
        />
        <span>
          Mirror
          <span className="block text-[13px] text-muted">
            For cloth that lies face down on the mat, or fusible with its paper up. The file is mirrored; do
            not mirror it again.
          </span>
        </span>
      </label>
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          label="Mat width"
          value={sheet.matWidth}
          unit={scene.unit}
          onTyped={(width) => void edits.edit({ edit: "setMat", width, height: sheet.matHeight })}
        />
        <LengthField
          label="Mat height"
          value={sheet.matHeight}
          unit={scene.unit}
          onTyped={(height) => void edits.edit({ edit: "setMat", width: sheet.matWidth, height })}
        />
      </div>
      <a
        className={buttonClass("main")}
        href={`/api/projects/${projectId}/cut.svg?cloth=${sheet.clothId}`}
        download
      >
        <Download size={16} aria-hidden />
        Cut file of {sheet.clothName}
      </a>
    </aside>
  );
}

function SizeRow({ projectId, number, shape }: { projectId: string; number: number; shape: SheetShape }) {
  const { width, height } = shape.box;
  return (
    <li className="rounded-card border border-line px-3 py-2">
      <div className="flex items-center">
        <p className="font-semibold">
          <span className="mr-2 inline-flex size-6 items-center justify-center rounded-full border border-ink text-[13px]">
            {number}
          </span>
          {shape.name}
        </p>
        <a
          className="ml-auto rounded-md p-1 text-[13px] text-indigo underline"
          href={`/api/projects/${projectId}/cut.svg?element=${shape.elementId}&piece=${shape.ordinal}`}
          download
          aria-label={`Cut file of ${shape.name} alone`}
        >
          alone
        </a>
      </div>
      <table className="w-full text-[14px]">
        <tbody>
          <SizeLine name="mm" width={width.toFixed(1)} height={height.toFixed(1)} />
          <SizeLine name="inches" width={inches(width)} height={inches(height)} />
          <SizeLine name="sixteenths, up" width={shape.widthSixteenths} height={shape.heightSixteenths} />
        </tbody>
      </table>
      <p className="mt-1 text-[13px] text-muted">
        {shape.isTemplate
          ? `rough template, ${shape.allowance.toFixed(0)} mm larger all round`
          : "exact piece, as large as its placement line"}
      </p>
    </li>
  );
}

function SizeLine({ name, width, height }: { name: string; width: string; height: string }) {
  return (
    <tr>
      <th scope="row" className="text-left font-normal text-muted">
        {name}
      </th>
      <td className="text-right">{width}</td>
      <td className="px-1 text-center text-muted">×</td>
      <td className="w-[72px] text-right">{height}</td>
    </tr>
  );
}
