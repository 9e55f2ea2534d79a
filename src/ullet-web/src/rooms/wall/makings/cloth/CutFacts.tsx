import { Download } from "lucide-react";
import { buttonClass } from "../../../../parts/Button";
import { sizeText, withUnit } from "../../../../state/lengths";
import type { ElementProps } from "../../card/elementProps";

/** What is cut for this piece, at which size. */
export function CutFacts({ projectId, scene, element }: ElementProps) {
  const sheet = scene.sheets.find((each) => each.shapes.some((shape) => shape.elementId === element.id));
  const shapes = sheet?.shapes.filter((each) => each.elementId === element.id) ?? [];
  const shape = shapes[0];
  if (!sheet || !shape) return <p className="text-[14px] text-muted">Nothing is cut for this piece.</p>;
  return (
    <>
      <p>
        {shape.kind === "only"
          ? `Cut out of ${sheet.clothName}, as large as it is drawn; nothing is sewn on it.`
          : shape.kind === "template"
            ? `A rough piece of ${sheet.clothName}, ${withUnit(shape.allowance, scene.unit)} larger all round; it is trimmed in the hoop.`
            : `The exact piece of ${sheet.clothName}, as large as the placement line.`}
      </p>
      {shapes.length > 1 ? (
        <p className="text-[14px]">
          {shapes.length} pieces, one for each letter; the cutting table lists their sizes.
        </p>
      ) : null}
      <p className="text-[14px]" hidden={shapes.length > 1}>
        {sizeText(shape.box.width, shape.box.height, scene.unit)}
        <span className="block text-muted">
          {shape.size.inches} in · nearest sixteenth {shape.size.sixteenths}
        </span>
      </p>
      <a
        hidden={shapes.length > 1}
        className={buttonClass("plain")}
        href={`/api/projects/${projectId}/cut.svg?element=${element.id}`}
        download
      >
        <Download size={16} aria-hidden />
        Cut file of this piece
      </a>
    </>
  );
}
