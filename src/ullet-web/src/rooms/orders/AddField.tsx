import { useState } from "react";
import type { Edit, Scene } from "../../api/client";
import { useEdits } from "../../api/edits";
import type { BookField, FillIn } from "../../api/orders";
import { useSketches } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { PlainField } from "../../parts/fields/PlainField";
import { Tick } from "../../parts/fields/Tick";

const KINDS = [
  { value: "words", label: "Words" },
  { value: "number", label: "A number" },
  { value: "cloth", label: "A cloth" },
  { value: "thread", label: "A thread" },
  { value: "drawing", label: "A drawing out of a few" },
  { value: "optional", label: "With or without" },
];

interface Props {
  projectId: string;
  scene: Scene;
  fields: BookField[];
}

/** Marks something more as changing from order to order. */
export function AddField({ projectId, scene, fields }: Props) {
  const edits = useEdits(projectId);
  const [kind, setKind] = useState("words");
  const [of, setOf] = useState("");
  const [label, setLabel] = useState("");
  const [among, setAmong] = useState<ReadonlySet<string>>(new Set());
  const sketches = useSketches("").data ?? [];
  const things = thingsOf(kind, scene);
  const chosen = things.find((thing) => thing.id === of) ?? things[0];
  const options =
    kind === "cloth"
      ? scene.cloths
          .filter((cloth) => cloth.id !== chosen?.id)
          .map((cloth) => ({ id: cloth.id, name: cloth.name }))
      : kind === "thread"
        ? scene.threads
            .filter((thread) => thread.id !== chosen?.id)
            .map((thread) => ({ id: thread.id, name: thread.name }))
        : kind === "drawing"
          ? sketches.map((sketch) => ({ id: sketch.id, name: sketch.name }))
          : [];
  const isReady = Boolean(chosen) && (options.length === 0 || among.size > 0);
  const add = async () => {
    if (!chosen) return;
    const name = label.trim() || free(chosen.name, fields);
    if (await edits.edit(marking(kind, chosen, name, [...among], scene))) {
      setLabel("");
      setAmong(new Set());
    }
  };
  return (
    <section aria-label="Let something more change" className="space-y-2 rounded-card bg-chalk p-3">
      <p className="font-semibold">Let something more change</p>
      <div className="grid grid-cols-3 gap-3">
        <Choice
          label="What"
          value={kind}
          options={KINDS}
          onChosen={(next) => {
            setKind(next);
            setOf("");
            setAmong(new Set());
          }}
        />
        <Choice
          label="Which of the project"
          value={chosen?.id ?? ""}
          options={things.map((thing) => ({ value: thing.id, label: thing.name }))}
          onChosen={setOf}
        />
        <PlainField
          label="Called in the book"
          value={label}
          placeholder={chosen ? free(chosen.name, fields) : ""}
          onChange={setLabel}
        />
      </div>
      {options.length ? (
        <fieldset>
          <legend className="text-[13px] text-muted">What may take its place</legend>
          <div className="grid max-h-[150px] grid-cols-4 gap-x-3 gap-y-1 overflow-y-auto">
            {options.map((option) => (
              <Tick
                key={option.id}
                label={option.name}
                checked={among.has(option.id)}
                onChanged={(on) => {
                  const next = new Set(among);
                  if (on) next.add(option.id);
                  else next.delete(option.id);
                  setAmong(next);
                }}
              />
            ))}
          </div>
        </fieldset>
      ) : null}
      {things.length === 0 ? (
        <p className="text-[14px] text-muted">The project has nothing of this kind.</p>
      ) : null}
      <Button disabled={!isReady} onClick={() => void add()}>
        Let it change
      </Button>
    </section>
  );
}

interface Thing {
  id: string;
  name: string;
  text?: string;
}

function thingsOf(kind: string, scene: Scene): Thing[] {
  if (kind === "cloth") return scene.cloths.map((cloth) => ({ id: cloth.id, name: cloth.name }));
  if (kind === "thread") return scene.threads.map((thread) => ({ id: thread.id, name: thread.name }));
  return scene.elements
    .filter((element) =>
      kind === "words" || kind === "number" ? element.form.kind === "words" : !element.isPatternPart,
    )
    .map((element) => ({ id: element.id, name: element.name }));
}

/** A label that no field has yet. */
function free(name: string, fields: BookField[]): string {
  const taken = new Set(fields.map((field) => field.label.toLowerCase()));
  for (let i = 1; ; i++) {
    const label = i === 1 ? name : `${name} ${i}`;
    if (!taken.has(label.toLowerCase())) return label;
  }
}

function marking(kind: string, thing: Thing, label: string, among: string[], scene: Scene): Edit {
  if (kind === "drawing") {
    const group = scene.elements.find((element) => element.id === thing.id)?.groupId;
    const elementIds = scene.elements
      .filter((element) => element.id === thing.id || (group && element.groupId === group))
      .map((element) => element.id);
    return { edit: "chooseAmong", elementIds, sketchIds: among, way: "cloth", name: label, group: null };
  }
  const own = { id: "", label, example: thing.name };
  const fillIn = {
    words: { ...own, kind: "words" as const, elementIds: [thing.id] },
    number: { ...own, kind: "number" as const, elementIds: [thing.id] },
    cloth: { ...own, kind: "cloth" as const, clothId: thing.id, optionIds: among },
    thread: { ...own, kind: "thread" as const, threadId: thing.id, optionIds: among },
    optional: { ...own, kind: "optional" as const, elementIds: [thing.id], example: "yes" },
  }[kind];
  return { edit: "markFillIn", fillIn: fillIn as FillIn };
}
