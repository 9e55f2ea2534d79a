import { Copy, Trash2 } from "lucide-react";
import { useEdits } from "../../api/edits";
import { isCloth, isLine, isPiece, isWords, type Element } from "../../api/client";
import { IconButton } from "../../parts/IconButton";
import { Section } from "../../parts/Section";
import { TextField } from "../../parts/TextField";
import { sizeText } from "../../state/lengths";
import { ArrangeFields } from "./ArrangeFields";
import { ClothAndMethod } from "./ClothAndMethod";
import { CoverFields } from "./CoverFields";
import { CutFacts } from "./CutFacts";
import { LetterFields } from "./LetterFields";
import { LineFields } from "./LineFields";
import { ShapeFields } from "./ShapeFields";
import { SizeAndPlace } from "./SizeAndPlace";
import { StageFields } from "./StageFields";
import { StateButtons } from "./StateButtons";
import { WordsFields } from "./WordsFields";
import type { ElementProps } from "./elementProps";
import { useOffers } from "./useOffers";

/** The card of one selected element. */
export function ElementCard({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const offers = useOffers(projectId, scene, [element]);
  const props = { projectId, scene };
  const words = isWords(element) ? element : null;
  const cloth = isCloth(element) && element.words?.use !== "stitchedOutline" ? element : null;

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
          {element.name} is locked: it is not moved, resized or deleted until you unlock it under Arrange.
        </p>
      ) : null}
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
          <Section title="Cover" startsOpen={!words} brief={`${cloth.cloth.satin.width.toFixed(1)} mm wide`}>
            <CoverFields {...props} element={cloth} />
          </Section>
        </>
      ) : (
        <Section title="Stitching">
          {words ? <LineFields {...props} element={words} line={words.words.line} /> : null}
          {isLine(element) ? <LineFields {...props} element={element} line={element.line} /> : null}
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
        <Section title="Stages" startsOpen={false} brief="placement, tack-down, cover">
          <StageFields {...props} element={cloth} />
        </Section>
      ) : null}
      {isPiece(element) ? (
        <Section title="Shape" startsOpen={false} brief={holesBrief(element.holeCount)}>
          <ShapeFields {...props} element={element} />
        </Section>
      ) : null}
      {cloth ? (
        <Section
          title="Cut"
          startsOpen={false}
          brief={cloth.cloth.method === "cutBeforehand" ? "exact piece" : "rough template"}
        >
          <CutFacts {...props} element={cloth} />
        </Section>
      ) : null}
    </div>
  );
}

function holesBrief(count: number): string {
  return count === 0 ? "no hole" : count === 1 ? "with a hole" : `${count} holes`;
}

function lettersBrief(element: Element): string {
  const touched = element.words?.letters.filter((letter) => letter.isTouched).length ?? 0;
  return touched === 0 ? "spacing, slant, arc" : touched === 1 ? "one touched" : `${touched} touched`;
}
