import { Copy, Trash2 } from "lucide-react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import {
  isBasting,
  isLaid,
  isLine,
  isWords,
  isZone,
  type ClothElement,
  type Element,
} from "../../api/client";
import { Button } from "../../parts/Button";
import { IconButton } from "../../parts/IconButton";
import { Section } from "../../parts/Section";
import { TextField } from "../../parts/TextField";
import { useView } from "../../state/view";
import { sizeText } from "../../state/lengths";
import { ArrangeFields } from "./ArrangeFields";
import { ClothAndMethod } from "./ClothAndMethod";
import { CoverFields } from "./CoverFields";
import { CutFacts } from "./CutFacts";
import { EdgeMatchFields } from "./EdgeMatchFields";
import { EdgeFields } from "./EdgeFields";
import { LetterFields } from "./LetterFields";
import { BastingFields } from "./BastingFields";
import { LineFields } from "./LineFields";
import { MadeAs } from "./MadeAs";
import { ShapeFields } from "./ShapeFields";
import { SizeAndPlace } from "./SizeAndPlace";
import { StageFields } from "./StageFields";
import { StateButtons } from "./StateButtons";
import { WordsFields } from "./WordsFields";
import { ZoneFields } from "./ZoneFields";
import { NodeFields } from "./nodes/NodeFields";
import { OperationsFields } from "./operations/OperationsFields";
import type { ElementProps, ShapedElement } from "./elementProps";
import { useOffers } from "./useOffers";

/** The card of one selected element. */
export function ElementCard({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const methods = useCatalogue().data?.methods;
  const offers = useOffers(projectId, scene, [element]);
  const served = scene.elements
    .filter((other) => element.neededBy.includes(other.id))
    .map((other) => other.name);
  const inNodes = useView((view) => view.tool === "nodes");
  const props = { projectId, scene };
  const words = isWords(element) ? element : null;
  const cloth = isLaid(element) ? element : null;

  return (
    <div>
      <div className="flex items-end gap-1 px-4 pt-3 pb-2">
        <div className="flex-1">
          <TextField
            label="Name"
            labelHidden
            value={element.name}
            className="font-head text-[17px] font-semibold"
            onTyped={(name) => void edits.edit({ edit: "renameElement", elementId: element.id, name })}
          />
        </div>
        <IconButton label={`Duplicate ${element.name}`} keys="Ctrl+D" onClick={offers.duplicate.run}>
          <Copy size={17} aria-hidden />
        </IconButton>
        <IconButton
          label={`Delete ${element.name}`}
          keys="Delete"
          disabled={element.isLocked}
          onClick={offers.remove.run}
        >
          <Trash2 size={17} aria-hidden />
        </IconButton>
      </div>
      {element.isLocked ? (
        <p className="mx-4 mb-2 rounded-card bg-chalk px-3 py-1.5 text-[14px]">
          {element.isPatternPart
            ? `${element.name} is a part of the pattern; its size follows the pattern’s.`
            : `${element.name} is locked: it is not moved, resized or deleted until you unlock it under Arrange.`}
        </p>
      ) : null}
      {element.isConstruction ? (
        <p className="mx-4 mb-2 rounded-card bg-chalk px-3 py-1.5 text-[14px]">
          A construction shape: neither sewn nor cut.{" "}
          {served.length ? `It serves ${served.join(", ")}.` : "Nothing is made with it yet."}{" "}
          <button type="button" className="text-indigo underline" onClick={offers.construction.run}>
            {offers.construction.label}
          </button>
        </p>
      ) : null}
      {element.isPatternPart ? null : <MadeAs {...props} element={element} />}
      {isZone(element) ? null : (
        <Section
          title="Shape"
          startsOpen={element.operations.length > 0}
          brief={shapeBrief(element.operations.length)}
          key={`shape ${element.id}`}
        >
          <OperationsFields {...props} element={element} />
        </Section>
      )}
      {words ? (
        <>
          <Section title="Words">
            <WordsFields {...props} element={words} />
          </Section>
          <Section title="Letters" brief={lettersBrief(element)} startsOpen={false}>
            <LetterFields {...props} element={words} />
          </Section>
        </>
      ) : null}
      {cloth ? (
        <>
          <Section title="Cloth & method">
            <ClothAndMethod {...props} element={cloth} />
          </Section>
          <Section title="Cover" startsOpen={!words} brief={coverBrief(cloth)}>
            <CoverFields {...props} element={cloth} />
          </Section>
          <Section title="Edge match" startsOpen={false} brief="chart and mends">
            <EdgeMatchFields {...props} element={cloth} />
          </Section>
        </>
      ) : isZone(element) ? (
        <Section title="Zone">
          <ZoneFields projectId={projectId} element={element} />
        </Section>
      ) : isBasting(element) ? (
        <Section title="Basting">
          <BastingFields {...props} element={element} />
        </Section>
      ) : (
        <Section title="Stitching">
          {words ? <LineFields {...props} element={words} line={words.words.line} /> : null}
          {isLine(element) ? <LineFields {...props} element={element} line={element.line} /> : null}
        </Section>
      )}
      {hasShape(element) ? (
        <Section title="Form" startsOpen={false} brief={holesBrief(element.holeCount)}>
          <ShapeFields {...props} element={element} />
        </Section>
      ) : null}
      {isZone(element) ? null : (
        <Section title="Nodes" startsOpen={inNodes} brief={element.isDrawn ? "edit them" : "turn into nodes"}>
          <NodeFields {...props} element={element} />
        </Section>
      )}
      <Section title="Size & place" brief={sizeText(element.box.width, element.box.height, scene.unit)}>
        <SizeAndPlace {...props} element={element} />
      </Section>
      <Section title="Arrange" startsOpen={false} brief="line up, centre, flip, lock">
        <ArrangeFields {...props} chosen={[element]} />
        <StateButtons {...props} chosen={[element]} />
      </Section>
      {cloth ? (
        <Section title="Stages" startsOpen={false} brief="on or off, threads, numbers">
          <StageFields {...props} element={cloth} />
          {cloth.isConstruction ? null : (
            <Button onClick={() => void edits.edit({ edit: "addBasting", elementId: element.id })}>
              Baste round it
            </Button>
          )}
        </Section>
      ) : null}
      {cloth && !element.isConstruction ? (
        <Section title="Edge" startsOpen={false} brief={element.coveredPath ? "partly under" : "all visible"}>
          <EdgeFields {...props} element={cloth} />
        </Section>
      ) : null}
      {cloth ? (
        <Section
          title="Cut"
          startsOpen={false}
          brief={methods?.find((method) => method.id === cloth.cloth.method)?.cutWords}
        >
          <CutFacts {...props} element={cloth} />
        </Section>
      ) : null}
    </div>
  );
}

const hasShape = (element: Element): element is ShapedElement =>
  element.shape != null && element.zone == null;

function shapeBrief(count: number): string {
  return count === 0 ? "carve, join, round, repeat" : count === 1 ? "one operation" : `${count} operations`;
}

function coverBrief({ cloth }: ClothElement): string {
  const { kind, width, inset } = cloth.cover;
  if (cloth.stages.cover.off) return "off";
  return kind === "bean" || kind === "rawEdge"
    ? `${inset.toFixed(1)} mm inside`
    : `${width.toFixed(1)} mm wide`;
}

function holesBrief(count: number): string {
  return count === 0 ? "no hole" : count === 1 ? "with a hole" : `${count} holes`;
}

function lettersBrief(element: Element): string {
  const touched = element.words?.letters.filter((letter) => letter.isTouched).length ?? 0;
  return touched === 0 ? "spacing, slant, arc" : touched === 1 ? "one touched" : `${touched} touched`;
}
