import { useState } from "react";
import { useEdits } from "../../api/edits";
import { Button } from "../../parts/Button";
import { Panel } from "../../parts/Panel";
import { withUnit } from "../../state/lengths";
import { FontChooser } from "./FontChooser";
import type { WordsProps } from "./elementProps";

/** Another font for words that stand on the wall. */
export function FontPanel({ projectId, scene, element, onClose }: WordsProps & { onClose: () => void }) {
  const edits = useEdits(projectId);
  const [font, setFont] = useState(element.words.fontId);
  const sewn = element.words.use === "stitchedOutline";
  const { capHeight } = element.words;

  const use = async () => {
    if (
      font === element.words.fontId ||
      (await edits.edit({ edit: "setLettering", elementId: element.id, fontId: font }))
    )
      onClose();
  };

  return (
    <Panel
      title={`A font for ${element.name}`}
      size="large"
      open
      onOpenChange={(open) => (open ? null : onClose())}
    >
      <p className="mb-2 text-[14px] text-muted">
        At a cap height of {withUnit(capHeight || 40, scene.unit)}
        {sewn
          ? "; no cover has to fit."
          : `, with a cover ${withUnit(element.cloth.cover.width, scene.unit)} wide.`}
      </p>
      <FontChooser
        text={element.words.text}
        capHeight={capHeight || 40}
        cover={sewn ? null : element.cloth.stages.cover}
        unit={scene.unit}
        chosen={font}
        onChosen={setFont}
      />
      <div className="flex justify-end gap-2 pt-3">
        <Button onClick={onClose}>Cancel</Button>
        <Button look="main" onClick={() => void use()}>
          Use this font
        </Button>
      </div>
    </Panel>
  );
}
