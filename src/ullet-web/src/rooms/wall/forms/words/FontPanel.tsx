import { useState } from "react";
import { useEdits } from "../../../../api/edits";
import { isMade } from "../../../../api/elements";
import { FormPanel } from "../../../../parts/FormPanel";
import { withUnit } from "../../../../state/lengths";
import { FontChooser } from "./FontChooser";
import type { WordsProps } from "../../card/elementProps";

/** Another font for words that stand on the wall. */
export function FontPanel({ projectId, scene, element, onClose }: WordsProps & { onClose: () => void }) {
  const edits = useEdits(projectId);
  const [font, setFont] = useState(element.form.fontId);
  const cloth = isMade(element, "cloth") ? element.making : null;
  const { capHeight } = element.form;

  const use = async () => {
    if (
      font === element.form.fontId ||
      (await edits.edit({ edit: "setLettering", elementId: element.id, fontId: font }))
    )
      onClose();
  };

  return (
    <FormPanel
      title={`A font for ${element.name}`}
      size="large"
      action="Use this font"
      onSent={use}
      onClose={onClose}
    >
      <p className="mb-2 text-[14px] text-muted">
        At a cap height of {withUnit(capHeight || 40, scene.unit)}
        {cloth ? `, with a cover ${withUnit(cloth.cover.width, scene.unit)} wide.` : "; no cover has to fit."}
      </p>
      <FontChooser
        text={element.form.text}
        capHeight={capHeight || 40}
        cover={cloth?.stages.cover ?? null}
        use={cloth ? "oneByOne" : isMade(element, "satin") ? "satin" : "stitchedOutline"}
        unit={scene.unit}
        chosen={font}
        onChosen={setFont}
      />
    </FormPanel>
  );
}
