import { useState } from "react";
import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import {
  isOrdered,
  type HandKind,
  type LayerRole,
  type OrderedStep,
  type Scene,
  type UserHandStep,
  type UserInsert,
} from "../../api/client";
import { LengthField } from "../../parts/fields/LengthField";
import { Choice } from "../../parts/fields/Choice";
import { NumberField } from "../../parts/fields/NumberField";
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
  const catalogue = useCatalogue().data;
  const kinds = catalogue?.handKinds ?? [];
  const [kind, setKind] = useState<HandKind>(hand?.kind ?? "freeText");
  const [text, setText] = useState(hand?.text ?? "");
  const [warning, setWarning] = useState(hand?.warning ?? "");
  const [check, setCheck] = useState(hand?.check ?? "");
  const [hoopOff, setHoopOff] = useState(hand?.hoopOff ?? false);
  const [clothId, setClothId] = useState(hand?.clothId ?? "");
  const [faceDown, setFaceDown] = useState(hand?.faceDown ?? false);
  const [isBeneath, setIsBeneath] = useState(hand?.isBeneath ?? false);
  const [layerId, setLayerId] = useState(hand?.layerId ?? "");
  const [areaOf, setAreaOf] = useState(hand?.areaOf ?? (hand?.area ? "typed" : ""));
  const [areaMore, setAreaMore] = useState(hand?.areaMore ?? 15);
  const [area, setArea] = useState(
    hand?.area ?? {
      x: 0,
      y: 0,
      width: scene.hooping.fieldWidth,
      height: scene.hooping.fieldHeight,
      rotation: 0,
    },
  );
  const [put, setPut] = useState<UserInsert | null>(hand?.insert ?? null);
  const [role, setRole] = useState(hand?.role ?? "");
  const [alignedTo, setAlignedTo] = useState(hand?.alignedTo ? String(hand.alignedTo) : "");
  const [alignDistance, setAlignDistance] = useState(hand?.alignDistance ?? 0);
  const [place, setPlace] = useState(after?.key ?? "");
  const ordered = scene.steps.filter(isOrdered);
  const length = (label: string, value: number, onTyped: (value: number) => void) => (
    <LengthField label={label} value={value} unit={scene.unit} onTyped={onTyped} />
  );
  const chosen = kinds.find((known) => known.id === kind);
  const { lays = false, laysBehind = false, takesAway = false, folds = false } = chosen ?? {};

  const lines = ordered
    .filter((step) => step.kind === "stitch")
    .map((step) => ({ value: step.key, label: `${step.ownerName}, ${step.role}` }));
  const isInsert = kind === "insert" && clothId !== "" && put !== null;
  const seams = scene.elements.filter((element) => scene.steps.some((step) => step.ownerId === element.id));
  const change = (part: Partial<UserInsert>) => setPut((now) => (now ? { ...now, ...part } : now));

  const save = async () => {
    const make = hand ? edits.edit : edits.addStep;
    const done = await make({
      edit: "setHandStep",
      hand: {
        id: hand?.id ?? "",
        kind,
        text,
        warning: warning || null,
        check: check || null,
        hoopOff,
        clothId: lays && clothId ? clothId : null,
        insert: isInsert ? put : null,
        area: lays && areaOf === "typed" ? area : null,
        areaOf: lays && areaOf && areaOf !== "typed" ? areaOf : null,
        areaMore,
        role: lays && role ? (role as LayerRole) : null,
        alignedTo: (lays || folds) && alignedTo ? alignedTo : null,
        alignDistance,
        faceDown: lays && faceDown,
        isBeneath: laysBehind || (lays && isBeneath),
        layerId: (takesAway || folds) && layerId ? layerId : null,
      },
      after: place || null,
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
        {hand ? null : (
          <Choice
            label="It goes after"
            value={place}
            options={ordered.map((step) => ({ value: step.key, label: `${step.ownerName}, ${step.role}` }))}
            onChosen={setPlace}
          />
        )}
        <Choice
          label="What hands do"
          value={kind}
          options={kinds.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(value) => {
            const next = kinds.find((known) => known.id === value);
            setKind(next?.id ?? "freeText");
            setHoopOff(next?.hoopOff ?? false);
          }}
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
            {kind === "insert" && clothId ? (
              <div className="grid grid-cols-2 gap-x-2 gap-y-2">
                <Choice
                  label="What is put in"
                  value={put?.kind ?? ""}
                  options={[
                    { value: "", label: "the cloth, flat" },
                    ...(catalogue?.inserts ?? []).map(({ id, name }) => ({ value: id, label: name })),
                  ]}
                  onChosen={(id) => {
                    const begun = catalogue?.inserts.find((known) => known.id === id)?.begun;
                    setPut((now) =>
                      begun ? { ...begun, on: seams.at(-1)?.id ?? "", ...now, kind: begun.kind } : null,
                    );
                  }}
                />
                {put ? (
                  <>
                    <Choice
                      label="Into the seam"
                      value={put.on}
                      options={seams.map(({ id, name }) => ({ value: id, label: seamName(scene, id, name) }))}
                      onChosen={(on) => change({ on })}
                    />
                    <Choice
                      label="At its side"
                      value={put.side ?? ""}
                      options={(catalogue?.insertSides ?? []).map(({ id, name }) => ({
                        value: id,
                        label: name,
                      }))}
                      onChosen={(side) => change({ side: side as UserInsert["side"] })}
                    />
                    <NumberField
                      label="Along it, %"
                      value={put.along ?? 0}
                      digits={0}
                      onTyped={(along) => change({ along })}
                    />
                    {length("Its width", put.width ?? 0, (width) => change({ width }))}
                    {length("Inside the seam", put.length ?? 0, (inside) => change({ length: inside }))}
                  </>
                ) : null}
              </div>
            ) : null}
            {clothId && !isInsert ? (
              <div className="grid grid-cols-2 gap-x-2 gap-y-2">
                <Choice
                  label="How large it is"
                  value={areaOf}
                  options={[
                    { value: "", label: "the whole field" },
                    { value: "typed", label: "as typed" },
                    ...scene.elements.map(({ id, name }) => ({ value: id, label: `as ${name} and more` })),
                  ]}
                  onChosen={setAreaOf}
                />
                <Choice
                  label="In the finished thing"
                  value={role}
                  options={[
                    { value: "", label: "as its kind says" },
                    ...(catalogue?.layerRoles ?? []).map(({ id, name }) => ({ value: id, label: name })),
                  ]}
                  onChosen={setRole}
                />
                {areaOf && areaOf !== "typed" ? length("More on every side", areaMore, setAreaMore) : null}
                {areaOf === "typed" ? (
                  <>
                    {length("Cloth, width", area.width, (width) => setArea((now) => ({ ...now, width })))}
                    {length("Cloth, height", area.height, (height) => setArea((now) => ({ ...now, height })))}
                    {length("Middle, right", area.x, (x) => setArea((now) => ({ ...now, x })))}
                    {length("Middle, down", area.y, (y) => setArea((now) => ({ ...now, y })))}
                  </>
                ) : null}
                <Choice
                  label="Aligned to"
                  value={alignedTo}
                  options={[{ value: "", label: "nothing" }, ...lines]}
                  onChosen={setAlignedTo}
                />
                {alignedTo ? length("Distance from it", alignDistance, setAlignDistance) : null}
              </div>
            ) : null}
            <Tick label="Face down" checked={faceDown} onChanged={setFaceDown} />
            {laysBehind ? null : (
              <Tick label="Beneath everything that is hooped" checked={isBeneath} onChanged={setIsBeneath} />
            )}
          </>
        ) : null}
        {takesAway || folds ? (
          <Choice
            label={folds ? "Layer that is folded over" : "Layer that is taken away"}
            value={layerId}
            options={[
              { value: "", label: "none" },
              ...scene.runSheet.lanes.map((lane) => ({ value: lane.layerId, label: lane.name })),
            ]}
            onChosen={setLayerId}
          />
        ) : null}
        {folds && layerId ? (
          <Choice
            label="Along the seam"
            value={alignedTo}
            options={[{ value: "", label: "none" }, ...lines]}
            onChosen={setAlignedTo}
          />
        ) : null}
        <PlainField label="What must not go wrong" value={warning} onChange={setWarning} />
        <PlainField label="Check before pressing start" value={check} onChange={setCheck} />
        <Tick label="The hoop comes off the machine" checked={hoopOff} onChanged={setHoopOff} />
      </div>
    </FormPanel>
  );
}

/** An element with what it is sewn as, so that a seam is told from a tack-down of the same name. */
function seamName(scene: Scene, id: string, name: string): string {
  const roles = scene.steps
    .filter((step) => step.ownerId === id && step.kind === "stitch")
    .map(({ role }) => role);
  return roles.length === 1 ? `${name}, ${roles[0]}` : name;
}
