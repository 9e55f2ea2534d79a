import { AlignCenter, AlignLeft, AlignRight } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import { isMade } from "../../../../api/elements";
import { Button } from "../../../../parts/Button";
import { Choice } from "../../../../parts/fields/Choice";
import { LengthField } from "../../../../parts/fields/LengthField";
import { NumberField } from "../../../../parts/fields/NumberField";
import { FontPanel } from "./FontPanel";
import { WordsArea } from "../../../../parts/fields/WordsArea";
import { Segments } from "../../../../parts/fields/Segments";
import { TextField } from "../../../../parts/fields/TextField";
import type { WordsProps } from "../../card/elementProps";
import { useNextWords } from "./useNextWords";

const ALIGNS = [
  { align: "left", label: "Lines begin together", icon: AlignLeft },
  { align: "centre", label: "Lines share their middle", icon: AlignCenter },
  { align: "right", label: "Lines end together", icon: AlignRight },
] as const;

const LETTERS = [
  { value: "oneByOne", label: "each a piece of its own" },
  { value: "onePiece", label: "all one piece" },
];

/** The words themselves, their font and size, and what they are made into. */
export function WordsFields({ projectId, scene, element }: WordsProps) {
  const edits = useEdits(projectId);
  const [choosing, setChoosing] = useState(false);
  const { form: words } = element;
  const { onKey, typesWords, begun } = useNextWords(projectId, scene, element);
  const set = (part: object) => edits.edit({ edit: "setLettering", elementId: element.id, ...part });
  return (
    <>
      <WordsArea
        label="Words"
        value={words.text}
        onTyped={(text) => edits.edit({ edit: "setText", elementId: element.id, text })}
        begins={typesWords}
        onBegun={begun}
        onKey={onKey}
      />
      <p className="text-[13px] text-muted">
        {scene.reading.length > 1 ? "Tab: the next words · " : ""}Alt+Enter: more words like these
      </p>
      <TextField
        label="In the groups"
        value={element.traits.groups?.word ?? ""}
        placeholder="such as: date, weight"
        onTyped={(names) => edits.edit({ edit: "nameGroups", elementIds: [element.id], names })}
      />
      <div className="grid grid-cols-[1fr_104px] items-end gap-1.5">
        <div>
          <p className="text-[13px] text-muted">Font</p>
          <Button className="w-full justify-start!" onClick={() => setChoosing(true)}>
            <span className="truncate">{words.fontName ?? "not here any more"}</span>
          </Button>
        </div>
        <LengthField
          label="Cap height"
          value={words.capHeight}
          unit={scene.unit}
          onTyped={(capHeight) => set({ capHeight })}
        />
      </div>
      {isMade(element, "cloth") ? (
        <Choice
          label="Letters are"
          value={words.isOnePiece ? "onePiece" : "oneByOne"}
          options={LETTERS}
          onChosen={(use) => set({ use })}
        />
      ) : null}
      <div className="grid grid-cols-[1fr_auto] items-end gap-1.5">
        <Choice
          label="When words change"
          value={words.sizing}
          options={[
            { value: "capHeight", label: "letters keep their height" },
            { value: "width", label: "the words keep their width" },
            { value: "box", label: "the box keeps its size" },
          ]}
          onChosen={(sizing) => set({ sizing })}
        />
        <Segments
          label="Lines"
          value={words.align}
          options={ALIGNS.map(({ align, label, icon: Icon }) => ({
            value: align,
            label,
            picture: <Icon size={16} aria-hidden />,
          }))}
          className="flex gap-0.5"
          itemClassName="flex h-8 w-[26px] items-center justify-center"
          onChosen={(align) => set({ align })}
        />
      </div>
      {words.sizing === "box" ? (
        <NumberField
          label="May be narrowed to"
          value={Math.round((words.narrowedTo ?? 1) * 100)}
          unit="%"
          digits={0}
          onTyped={(share) => set({ narrowedTo: share / 100 })}
        />
      ) : null}
      {choosing ? (
        <FontPanel projectId={projectId} scene={scene} element={element} onClose={() => setChoosing(false)} />
      ) : null}
    </>
  );
}
