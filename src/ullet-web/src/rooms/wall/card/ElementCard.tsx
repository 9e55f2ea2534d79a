import { Copy, Trash2 } from "lucide-react";
import { useEdits } from "../../../api/edits";
import { isFormed } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { IconButton } from "../../../parts/IconButton";
import { Section } from "../../../parts/Section";
import { TextField } from "../../../parts/fields/TextField";
import { useView } from "../../../state/view";
import { sizeText } from "../../../state/lengths";
import { formOf } from "../forms";
import { useOffers } from "../../../verbs/useOffers";
import { makingOf } from "../makings";
import { NodeFields } from "../nodes/NodeFields";
import { OperationsFields } from "../operations/OperationsFields";
import { ArrangeFields } from "./ArrangeFields";
import type { ElementProps } from "./elementProps";
import { MadeAs } from "./MadeAs";
import { SizeAndPlace } from "./SizeAndPlace";
import { StateButtons } from "./StateButtons";
import { KeepPart } from "../parts/KeepPart";
import { Note } from "../../../parts/Note";

/** The card of one selected element. */
export function ElementCard({ projectId, scene, element }: ElementProps) {
  const edits = useEdits(projectId);
  const offers = useOffers(projectId, scene, [element]);
  const inNodes = useView((view) => view.tool === "nodes");
  const props = { projectId, scene, element };
  const [form, making] = [formOf(element), makingOf(element)];
  // A zone is only a region, and needle points have no outline to work on.
  const isBare = element.making.kind === "zone" || isFormed(element, "opened");
  // Words have no one outline.
  const isOutline =
    !element.isPatternPart &&
    !isFormed(element, "words") &&
    scene.pattern?.choices.some((choice) => choice.id === "outline");

  return (
    <div>
      <div className="flex items-end gap-1 px-4 pt-3 pb-2">
        <div className="flex-1">
          <TextField
            label="Name"
            labelHidden
            value={element.name}
            className="font-head text-[17px] font-semibold"
            onTyped={(name) => edits.edit({ edit: "renameElement", elementId: element.id, name })}
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
        <Note className="mx-4 mb-2">
          {element.isPatternPart
            ? `${element.name} is a part of the pattern; its size follows the pattern’s.`
            : `${element.name} is locked: it is not moved, resized or deleted until you unlock it under Arrange.`}
        </Note>
      ) : null}
      {element.makings.length > 1 ? <MadeAs {...props} /> : null}
      {isBare ? null : (
        <Section
          title="Shape"
          startsOpen={element.operations.length > 0}
          brief={shapeBrief(element.operations.length)}
          key={`shape ${element.id}`}
        >
          <OperationsFields {...props} />
        </Section>
      )}
      {form.Above ? <form.Above {...props} /> : null}
      <making.Card {...props} />
      {form.Below && !isBare ? <form.Below {...props} /> : null}
      {isBare ? null : (
        <Section title="Nodes" startsOpen={inNodes} brief={element.isDrawn ? "edit them" : "turn into nodes"}>
          <NodeFields {...props} />
        </Section>
      )}
      <Section title="Size & place" brief={sizeText(element.box.width, element.box.height, scene.unit)}>
        <SizeAndPlace {...props} />
      </Section>
      <Section title="Arrange" startsOpen={false} brief="line up, centre, flip, lock">
        <ArrangeFields {...props} chosen={[element]} />
        <StateButtons {...props} chosen={[element]} />
        {isOutline && scene.pattern ? (
          <Button
            onClick={() =>
              edits.edit({ edit: "usePattern", patternId: scene.pattern?.id ?? "", outlineOf: element.id })
            }
          >
            Make its form the pattern’s outline
          </Button>
        ) : null}
      </Section>
      {making.Further ? <making.Further {...props} /> : null}
      <Section title="Part" startsOpen={false} brief="keep it for other projects">
        <KeepPart projectId={projectId} chosen={[element]} />
      </Section>
    </div>
  );
}

function shapeBrief(count: number): string {
  return count === 0 ? "carve, join, round, repeat" : count === 1 ? "one operation" : `${count} operations`;
}
