import { Copy, Trash2 } from "lucide-react";
import { useEdits } from "../../api/edits";
import { IconButton } from "../../parts/IconButton";
import { Section } from "../../parts/Section";
import { TextField } from "../../parts/TextField";
import { sizeText } from "../../state/lengths";
import { ClothAndMethod } from "./ClothAndMethod";
import { CoverFields } from "./CoverFields";
import { CutFacts } from "./CutFacts";
import { ShapeFields } from "./ShapeFields";
import { SizeAndPlace } from "./SizeAndPlace";
import { StageFields } from "./StageFields";
import type { ElementProps } from "./elementProps";
import { wallEvents } from "./wallEvents";

/** The card of one selected piece. */
export function ElementCard({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const props = { projectId, scene, element };

  const duplicate = () => {
    const before = scene.elements.map((each) => each.id);
    void wallEvents.adding(projectId, before, () =>
      edits.edit({ edit: "duplicateElements", elementIds: [element.id] }),
    );
  };

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
        <IconButton label={`Duplicate ${element.name}`} keys="Ctrl+D" onClick={duplicate}>
          <Copy size={17} aria-hidden />
        </IconButton>
        <IconButton
          label={`Delete ${element.name}`}
          keys="Delete"
          onClick={() => void edits.edit({ edit: "removeElements", elementIds: [element.id] })}
        >
          <Trash2 size={17} aria-hidden />
        </IconButton>
      </div>
      <Section title="Cloth & method">
        <ClothAndMethod {...props} />
      </Section>
      <Section title="Cover">
        <CoverFields {...props} />
      </Section>
      <Section title="Size & place" brief={sizeText(element.box.width, element.box.height, scene.unit)}>
        <SizeAndPlace {...props} />
      </Section>
      <Section title="Stages" startsOpen={false} brief="placement, tack-down, cover">
        <StageFields {...props} />
      </Section>
      <Section title="Shape" startsOpen={false} brief={element.hole ? "with a hole" : "no hole"}>
        <ShapeFields {...props} />
      </Section>
      <Section
        title="Cut"
        startsOpen={false}
        brief={element.method === "cutBeforehand" ? "exact piece" : "rough template"}
      >
        <CutFacts {...props} />
      </Section>
    </div>
  );
}
