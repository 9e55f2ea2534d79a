import { Pencil, Plus } from "lucide-react";
import { useState, type ReactNode } from "react";
import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { useCatalogue } from "../../../api/queries";
import { Choice } from "../../../parts/fields/Choice";
import { LengthField } from "../../../parts/fields/LengthField";
import { IconButton } from "../../../parts/IconButton";
import { Section } from "../../../parts/Section";
import { ClothSwatch, ThreadSwatch } from "../../../parts/Swatch";
import { Tick } from "../../../parts/fields/Tick";
import { duration, sizeText } from "../../../state/lengths";
import { useUnits } from "../../../state/units";
import { ClothPanel } from "../stuff/ClothPanel";
import { Colourways } from "../stuff/Colourways";
import { PatternFields } from "./PatternFields";
import { ThreadPanel } from "../stuff/ThreadPanel";
import { ClothPicker, ThreadPicker } from "../../../parts/stuff/StashPicker";
import { threadLabel } from "../../../parts/stuff/threadLabel";
import { useWhenAsked, type Ask } from "../../../verbs/asks";

interface Props {
  projectId: string;
  scene: Scene;
}

/** The card when nothing is selected: the hooping, the whole design, cloths and threads. */
export function ProjectCard({ projectId, scene }: Props) {
  const { design, hooping } = scene;
  const { stitchesInMm, setStitchesInMm } = useUnits();
  const edits = useEdits(projectId);
  return (
    <div>
      <h2 className="px-4 pt-3 pb-1 font-head text-[17px] font-semibold">This project</h2>
      {scene.pattern ? <PatternFields projectId={projectId} scene={scene} pattern={scene.pattern} /> : null}
      <Section title="Hooping" startsOpen={!scene.pattern}>
        <HoopingFields projectId={projectId} scene={scene} />
      </Section>
      <Section title="Whole design">
        <dl className="grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
          <dt className="text-muted">Sewing field</dt>
          <dd className="text-right whitespace-nowrap">
            {sizeText(hooping.fieldWidth, hooping.fieldHeight, scene.unit)}
          </dd>
          <dt className="text-muted">With its covers</dt>
          <dd className="text-right whitespace-nowrap">
            {design ? sizeText(design.width, design.height, scene.unit) : "nothing yet"}
          </dd>
          <dt className="text-muted">Stitches</dt>
          <dd className="text-right whitespace-nowrap">{scene.stitchCount.toLocaleString("en-GB")}</dd>
          <dt className="text-muted">Stops</dt>
          <dd className="text-right whitespace-nowrap">{scene.stopCount}</dd>
          <dt className="text-muted">Time with hands</dt>
          <dd className="text-right whitespace-nowrap">{duration(scene.seconds)}</dd>
        </dl>
        {scene.unit === "inch" ? (
          <Tick
            label="Covers and stitches in mm all the same"
            checked={stitchesInMm}
            onChanged={setStitchesInMm}
          />
        ) : null}
        {scene.design ? (
          <Button onClick={() => edits.edit({ edit: "addBasting" })}>Baste round the design</Button>
        ) : null}
      </Section>
      <Section title="Cloths" brief={`${scene.cloths.length}`}>
        <Cloths projectId={projectId} scene={scene} />
      </Section>
      <Section title="Threads" brief={`${scene.threads.length}`}>
        <Threads projectId={projectId} scene={scene} />
      </Section>
      <Section title="Colourways" brief={`${scene.colourways.length}`}>
        <Colourways projectId={projectId} scene={scene} />
      </Section>
    </div>
  );
}

function HoopingFields({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const { hooping, cloths, threads } = scene;
  const groundHolds = useCatalogue().data?.groundHolds ?? [];
  const clothOptions = cloths.map((cloth) => ({ value: cloth.id, label: cloth.name }));
  const threadOptions = threads.map((thread) => ({ value: thread.id, label: threadLabel(thread) }));
  const clothMark = (id: string) => <ClothSwatch cloth={cloths.find((cloth) => cloth.id === id)} />;
  const threadMark = (id: string) => (
    <ThreadSwatch colour={threads.find((t) => t.id === id)?.colour ?? "#ffffff"} />
  );
  return (
    <div className="grid grid-cols-2 gap-x-1.5 gap-y-2">
      <Choice
        label="Ground cloth"
        className="col-span-2"
        value={hooping.isStabiliserAlone ? "" : hooping.groundClothId}
        options={[{ value: "", label: "none: the stabiliser alone" }, ...clothOptions]}
        mark={clothMark(hooping.groundClothId)}
        onChosen={(id) =>
          edits.edit(
            id ? { edit: "setHooping", groundClothId: id } : { edit: "setHooping", stabiliserAlone: true },
          )
        }
      />
      <Choice
        label="Stabiliser"
        className="col-span-2"
        value={hooping.stabiliserClothId}
        options={clothOptions}
        mark={clothMark(hooping.stabiliserClothId)}
        onChosen={(id) => edits.edit({ edit: "setHooping", stabiliserClothId: id })}
      />
      {hooping.isStabiliserAlone || scene.pattern ? null : (
        <Choice
          label="The ground is"
          className="col-span-2"
          value={hooping.groundHold}
          options={groundHolds.map(({ id, name }) => ({ value: id, label: name }))}
          onChosen={(value) =>
            edits.edit({
              edit: "setHooping",
              groundHold: groundHolds.find(({ id }) => id === value)?.id ?? null,
            })
          }
        />
      )}
      <Choice
        label="Thread of lines"
        value={hooping.lineThreadId}
        options={threadOptions}
        mark={threadMark(hooping.lineThreadId)}
        onChosen={(id) => edits.edit({ edit: "setHooping", lineThreadId: id })}
      />
      <Choice
        label="Thread of covers"
        value={hooping.coverThreadId}
        options={threadOptions}
        mark={threadMark(hooping.coverThreadId)}
        onChosen={(id) => edits.edit({ edit: "setHooping", coverThreadId: id })}
      />
      <LengthField
        label="Presser foot, radius"
        value={hooping.footRadius}
        unit={scene.unit}
        onTyped={(footRadius) => edits.edit({ edit: "setHooping", footRadius })}
      />
    </div>
  );
}

function Cloths({ projectId, scene }: Props) {
  return (
    <Stock
      items={scene.cloths}
      nameOf={(cloth) => cloth.name}
      mark={(cloth) => <ClothSwatch cloth={cloth} />}
      newLabel="New cloth"
      ask="newCloth"
      more={<TakeCloth projectId={projectId} />}
      panel={(cloth, close) => (
        <ClothPanel
          projectId={projectId}
          cloth={cloth}
          others={scene.cloths.filter((other) => other.id !== cloth?.id)}
          onClose={close}
        />
      )}
    />
  );
}

function Threads({ projectId, scene }: Props) {
  return (
    <Stock
      items={scene.threads}
      nameOf={threadLabel}
      mark={(thread) => <ThreadSwatch colour={thread.colour} />}
      newLabel="New thread"
      ask="newThread"
      more={<TakeThread projectId={projectId} />}
      panel={(thread, close) => (
        <ThreadPanel
          projectId={projectId}
          thread={thread}
          others={scene.threads.filter((other) => other.id !== thread?.id)}
          onClose={close}
        />
      )}
    />
  );
}

function TakeCloth({ projectId }: { projectId: string }) {
  const edits = useEdits(projectId);
  const [asking, setAsking] = useState(false);
  useWhenAsked("takeCloth", () => setAsking(true));
  return (
    <>
      <Button onClick={() => setAsking(true)}>From the stash</Button>
      {asking ? (
        <ClothPicker
          title="Take a cloth from the stash"
          onChosen={({ id }) =>
            edits.edit({ edit: "takeCloth", stashId: id }).then((ok) => (ok ? setAsking(false) : undefined))
          }
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}

function TakeThread({ projectId }: { projectId: string }) {
  const edits = useEdits(projectId);
  const [asking, setAsking] = useState(false);
  useWhenAsked("takeThread", () => setAsking(true));
  return (
    <>
      <Button onClick={() => setAsking(true)}>From the stash</Button>
      {asking ? (
        <ThreadPicker
          title="Take a thread from the stash"
          onChosen={({ id }) =>
            edits.edit({ edit: "takeThread", stashId: id }).then((ok) => (ok ? setAsking(false) : undefined))
          }
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}

interface StockProps<T> {
  items: T[];
  nameOf: (item: T) => string;
  mark: (item: T) => ReactNode;
  newLabel: string;
  /** What asks for a new one from elsewhere. */
  ask: Ask;
  /** Stands beside the button. */
  more: ReactNode;
  /** The dialog that changes an item, or makes a new one. */
  panel: (item: T | undefined, close: () => void) => ReactNode;
}

/** What the project has in stock, each with a button to change it. */
function Stock<T extends { id: string }>({ items, nameOf, mark, newLabel, ask, more, panel }: StockProps<T>) {
  const [asking, setAsking] = useState<T | "new" | null>(null);
  useWhenAsked(ask, () => setAsking("new"));
  return (
    <>
      <ul>
        {items.map((item) => (
          <li key={item.id} className="flex items-center gap-2">
            {mark(item)}
            <span className="truncate">{nameOf(item)}</span>
            <IconButton
              label={`Change ${nameOf(item)}`}
              side="left"
              className="ml-auto h-7!"
              onClick={() => setAsking(item)}
            >
              <Pencil size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap gap-1.5">
        <Button onClick={() => setAsking("new")}>
          <Plus size={16} aria-hidden />
          {newLabel}
        </Button>
        {more}
      </div>
      {asking ? panel(asking === "new" ? undefined : asking, () => setAsking(null)) : null}
    </>
  );
}
