import { RotateCcw } from "lucide-react";
import { ToggleGroup } from "radix-ui";
import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import type { Letter } from "../../../../api/client";
import { Button } from "../../../../parts/Button";
import { LengthField } from "../../../../parts/fields/LengthField";
import { NumberField } from "../../../../parts/fields/NumberField";
import { SlideField } from "../../../../parts/fields/SlideField";
import { useView } from "../../../../state/view";
import type { WordsProps } from "../../card/elementProps";
import { Tick } from "../../../../parts/fields/Tick";

/** Spacing, slant and arc of all letters, and what is changed at a single one. */
export function LetterFields(props: WordsProps) {
  const { projectId, element } = props;
  const edits = useEdits(projectId);
  const { letter: chosen, chooseLetter } = useView();
  const { form: words } = element;
  const wish = (part: object) => ({ edit: "setLettering", elementId: element.id, ...part }) as const;
  const slide = (part: object) => ({
    onSlide: () => void edits.preview(wish(part)),
    onTaken: () => edits.edit(wish(part)),
  });
  const letter = words.letters.find((each) => each.index === chosen);
  return (
    <>
      <SlideField
        label="Spacing"
        value={words.spacing * 100}
        least={-20}
        most={60}
        step={1}
        unit="%"
        digits={0}
        ends={["tighter", "wider"]}
        onSlide={(value) => slide({ spacing: value / 100 }).onSlide()}
        onTaken={(value) => slide({ spacing: value / 100 }).onTaken()}
      />
      <SlideField
        label="Slant"
        value={words.slant}
        least={-45}
        most={45}
        step={1}
        unit="°"
        digits={0}
        ends={["left", "right"]}
        onSlide={(value) => slide({ slant: value }).onSlide()}
        onTaken={(value) => slide({ slant: value }).onTaken()}
      />
      <SlideField
        label="Arc"
        value={words.arc}
        least={-350}
        most={350}
        step={5}
        unit="°"
        digits={0}
        ends={["hanging", "arched"]}
        onSlide={(value) => slide({ arc: value }).onSlide()}
        onTaken={(value) => slide({ arc: value }).onTaken()}
      />
      {words.text.includes("\n") ? (
        <NumberField
          label="Line spacing"
          value={words.lineSpacing}
          digits={2}
          onTyped={(lineSpacing) => edits.edit(wish({ lineSpacing }))}
        />
      ) : null}
      <ToggleGroup.Root
        type="single"
        aria-label="One letter"
        className="flex flex-wrap gap-1"
        value={letter ? String(letter.index) : ""}
        onValueChange={(index) => chooseLetter(index === "" ? null : Number(index))}
      >
        {words.letters.map((each) => (
          <ToggleGroup.Item
            key={each.index}
            value={String(each.index)}
            aria-label={`Letter ${each.text}`}
            data-touched={each.isTouched || undefined}
            className="min-w-8 rounded-[6px] border border-line px-1.5 py-0.5 text-[17px] hover:bg-chalk data-[state=on]:border-indigo data-[state=on]:bg-indigo data-[state=on]:text-white data-[touched]:font-bold data-[touched]:underline"
          >
            {each.text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {letter ? (
        <OneLetter {...props} letter={letter} />
      ) : (
        <p className="text-[13px] text-muted">
          Choose a letter here, or double-click it on the wall, to nudge, turn or scale it alone.
        </p>
      )}
    </>
  );
}

function OneLetter({ projectId, scene, element, letter }: WordsProps & { letter: Letter }) {
  const edits = useEdits(projectId);
  const [onward, setOnward] = useState(false);
  const touch = (part: object) =>
    edits.edit({ edit: "touchLetter", elementId: element.id, index: letter.index, ...part });
  return (
    <>
      <div className="grid grid-cols-3 gap-1.5">
        <LengthField label="To the right" value={letter.x} unit={scene.unit} onTyped={(x) => touch({ x })} />
        <LengthField label="Downwards" value={letter.y} unit={scene.unit} onTyped={(y) => touch({ y })} />
        <NumberField label="Letter turn" value={letter.turn} unit="°" onTyped={(turn) => touch({ turn })} />
        <NumberField
          label="Letter size"
          value={letter.scale * 100}
          digits={0}
          unit="%"
          onTyped={(scale) => touch({ scale: scale / 100 })}
        />
        <LengthField
          label="Gap after"
          value={letter.gapAfter}
          unit={scene.unit}
          onTyped={(gapAfter) => touch({ gapAfter, andAllAfter: onward })}
        />
        <Tick
          label="and all after"
          className="text-[13px]"
          checked={onward}
          onChanged={(on) => setOnward(on)}
        />
      </div>
      <p className="text-[13px] text-muted">The arrow keys nudge this letter while it is chosen.</p>
      {letter.isTouched ? (
        <Button look="quiet" className="text-indigo" onClick={() => touch({ reset: true })}>
          <RotateCcw size={15} aria-hidden />
          Put this letter back
        </Button>
      ) : null}
    </>
  );
}
