import { useState } from "react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { HandKind, OrderedStep, Scene, UserHandStep } from "../../api/client";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { FormPanel } from "../../parts/FormPanel";
import { Tick } from "../../parts/fields/Tick";

interface Props {
  projectId: string;
  scene: Scene;
  /** A new one follows this step. */
  after: OrderedStep | undefined;
  /** The one that is changed; left out for a new one. */
  hand?: UserHandStep;
  onClose: () => void;
}

/** Asks for a hand step of the user's own. */
export function HandStepPanel({ projectId, scene, after, hand, onClose }: Props) {
  const edits = useEdits(projectId);
  const kinds = useCatalogue().data?.handKinds ?? [];
  const [kind, setKind] = useState<HandKind>(hand?.kind ?? "freeText");
  const [text, setText] = useState(hand?.text ?? "");
  const [warning, setWarning] = useState(hand?.warning ?? "");
  const [check, setCheck] = useState(hand?.check ?? "");
  const [hoopOff, setHoopOff] = useState(hand?.hoopOff ?? false);
  const [clothId, setClothId] = useState(hand?.clothId ?? "");
  const [faceDown, setFaceDown] = useState(hand?.faceDown ?? false);
  const [isBeneath, setIsBeneath] = useState(hand?.isBeneath ?? false);
  const [layerId, setLayerId] = useState(hand?.layerId ?? "");
  const chosen = kinds.find((known) => known.id === kind);
  const { lays = false, laysBehind = false, takesAway = false } = chosen ?? {};

  const save = async () => {
    const done = await edits.edit({
      edit: "setHandStep",
      hand: {
        id: hand?.id ?? "",
        kind,
        text,
        warning: warning || null,
        check: check || null,
        hoopOff,
        clothId: lays && clothId ? clothId : null,
        area: hand?.area ?? null,
        faceDown: lays && faceDown,
        isBeneath: laysBehind || (lays && isBeneath),
        layerId: takesAway && layerId ? layerId : null,
      },
      after: after?.key ?? null,
    });
    if (done) onClose();
  };

  return (
    <FormPanel
      title={hand ? "Change a hand step" : "Add a hand step"}
      action={hand ? "Change it" : "Add it"}
      onSent={save}
      onClose={onClose}
    >
      <div className="min-h-0 space-y-3 overflow-y-auto">
        {hand || !after ? null : (
          <p className="text-[14px] text-muted">
            It goes after “{after.ownerName}, {after.role}”.
          </p>
        )}
        <Choice
          label="What hands do"
          value={kind}
          options={kinds.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(value) => setKind(kinds.find((known) => known.id === value)?.id ?? "freeText")}
        />
        <PlainField label="In a sentence" value={text} onChange={setText} />
        {lays ? (
          <>
            <Choice
              label="Cloth that is laid"
              value={clothId}
              options={[
                { value: "", label: "none" },
                ...scene.cloths.map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChosen={setClothId}
            />
            <Tick label="Face down" checked={faceDown} onChanged={setFaceDown} />
            {laysBehind ? null : (
              <Tick label="Beneath everything that is hooped" checked={isBeneath} onChanged={setIsBeneath} />
            )}
          </>
        ) : null}
        {takesAway ? (
          <Choice
            label="Layer that is taken away"
            value={layerId}
            options={[
              { value: "", label: "none" },
              ...scene.runSheet.lanes.map((lane) => ({ value: lane.layerId, label: lane.name })),
            ]}
            onChosen={setLayerId}
          />
        ) : null}
        <PlainField label="What must not go wrong" value={warning} onChange={setWarning} />
        <PlainField label="Check before pressing start" value={check} onChange={setCheck} />
        <Tick label="The hoop comes off the machine" checked={hoopOff} onChanged={setHoopOff} />
      </div>
    </FormPanel>
  );
}
