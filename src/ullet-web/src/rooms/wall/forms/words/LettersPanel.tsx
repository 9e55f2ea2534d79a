import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import type { Scene } from "../../../../api/client";
import { Choice } from "../../../../parts/fields/Choice";
import { LengthField } from "../../../../parts/fields/LengthField";
import { AreaBox } from "../../../../parts/fields/AreaBox";
import { FormPanel } from "../../../../parts/FormPanel";
import { FontChooser } from "./FontChooser";
import { USES } from "./uses";

interface Props {
  projectId: string;
  scene: Scene;
  onClose: () => void;
}

type Use = (typeof USES)[number]["value"];
type SizeBy = "capHeight" | "width";

const USUAL_CAP_HEIGHT = 40;
const USUAL_WIDTH = 100;

/** New words: what they say, how large, in which font, and what they become. */
export function LettersPanel({ projectId, scene, onClose }: Props) {
  const edits = useEdits(projectId);
  const [text, setText] = useState("");
  const usual = useCatalogue().data?.usualFontId ?? "";
  const [chosenFont, setFont] = useState<string | null>(null);
  const last = scene.nextWords;
  const font = chosenFont ?? last.fontId ?? usual;
  const [sizeBy, setSizeBy] = useState<SizeBy>("capHeight");
  const [size, setSize] = useState(last.capHeight ?? USUAL_CAP_HEIGHT);
  const [use, setUse] = useState<Use>(last.use ?? "oneByOne");

  const add = async () => {
    if (await edits.add({ edit: "addWords", text, fontId: font, use, sizing: sizeBy, [sizeBy]: size }))
      onClose();
  };

  return (
    <FormPanel
      title="Letters"
      size="large"
      action="Set the words"
      hint={
        use === "satin"
          ? "Sizes are of the letters as drawn; thread is sewn a little wider, and draws in."
          : "Sizes are of the bare letters; the cover reaches a little further."
      }
      onSent={add}
      onClose={onClose}
    >
      <div className="grid grid-cols-[1fr_150px_120px_210px] items-end gap-2">
        <AreaBox
          label="Words to set"
          rows={2}
          value={text}
          placeholder="Such as: Rowan"
          onKeyDown={(event) => {
            if (event.key === "Enter" && (event.ctrlKey || event.metaKey))
              event.currentTarget.form?.requestSubmit();
          }}
          onChange={(event) => setText(event.target.value)}
        />
        <Choice
          label="Size by"
          value={sizeBy}
          options={[
            { value: "capHeight", label: "cap height" },
            { value: "width", label: "width, no cover" },
          ]}
          onChosen={(by) => {
            setSizeBy(by as SizeBy);
            setSize(by === "width" ? USUAL_WIDTH : (last.capHeight ?? USUAL_CAP_HEIGHT));
          }}
        />
        <LengthField
          label={sizeBy === "width" ? "Width of the letters" : "Cap height"}
          value={size}
          unit={scene.unit}
          onTyped={setSize}
        />
        <Choice label="Made as" value={use} options={[...USES]} onChosen={(next) => setUse(next as Use)} />
      </div>
      <FontChooser
        text={text}
        capHeight={sizeBy === "capHeight" ? size : undefined}
        width={sizeBy === "width" ? size : undefined}
        use={use}
        cover={use === "stitchedOutline" || use === "satin" ? null : {}}
        unit={scene.unit}
        chosen={font}
        onChosen={setFont}
      />
    </FormPanel>
  );
}
