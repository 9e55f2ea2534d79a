import { useState, type FormEvent } from "react";
import { useEdits } from "../../../../api/edits";
import { useCatalogue } from "../../../../api/queries";
import type { Scene } from "../../../../api/client";
import { Button } from "../../../../parts/Button";
import { Choice } from "../../../../parts/fields/Choice";
import { LengthField } from "../../../../parts/fields/LengthField";
import { PlainArea } from "../../../../parts/fields/PlainField";
import { Panel } from "../../../../parts/Panel";
import { FontChooser } from "./FontChooser";
import { USES } from "./uses";
import { wallEvents } from "../../hands/wallEvents";

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
  const font = chosenFont ?? usual;
  const [sizeBy, setSizeBy] = useState<SizeBy>("capHeight");
  const [size, setSize] = useState(USUAL_CAP_HEIGHT);
  const [use, setUse] = useState<Use>("oneByOne");

  const add = async (event: FormEvent) => {
    event.preventDefault();
    const before = scene.elements.map((element) => element.id);
    let ok = false;
    await wallEvents.adding(projectId, before, async () => {
      ok = await edits.edit({ edit: "addWords", text, fontId: font, use, [sizeBy]: size });
      return ok;
    });
    if (ok) onClose();
  };

  return (
    <Panel title="Letters" size="large" open onOpenChange={(open) => (open ? null : onClose())}>
      <form className="flex min-h-0 flex-1 flex-col gap-3" onSubmit={(event) => void add(event)}>
        <div className="grid grid-cols-[1fr_150px_120px_210px] items-end gap-2">
          <PlainArea label="Words to set" value={text} placeholder="Such as: Rowan" onChange={setText} />
          <Choice
            label="Size by"
            value={sizeBy}
            options={[
              { value: "capHeight", label: "cap height" },
              { value: "width", label: "width, no cover" },
            ]}
            onChosen={(by) => {
              setSizeBy(by as SizeBy);
              setSize(by === "width" ? USUAL_WIDTH : USUAL_CAP_HEIGHT);
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
          cover={use === "stitchedOutline" ? null : {}}
          unit={scene.unit}
          chosen={font}
          onChosen={setFont}
        />
        <div className="flex items-center justify-end gap-2">
          <p className="mr-auto text-[13px] text-muted">
            Sizes are of the bare letters; the cover reaches a little further.
          </p>
          <Button data-lets-go onClick={onClose}>
            Cancel
          </Button>
          <Button look="main" type="submit">
            Set the words
          </Button>
        </div>
      </form>
    </Panel>
  );
}
