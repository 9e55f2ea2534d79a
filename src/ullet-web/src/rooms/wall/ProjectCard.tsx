import { Pencil, Plus } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../api/edits";
import type { Cloth, Scene, Thread } from "../../api/client";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/Choice";
import { IconButton } from "../../parts/IconButton";
import { Section } from "../../parts/Section";
import { ClothSwatch, ThreadSwatch } from "../../parts/Swatch";
import { duration, sizeText } from "../../state/lengths";
import { ClothPanel } from "./ClothPanel";
import { ThreadPanel } from "./ThreadPanel";

interface Props {
  projectId: string;
  scene: Scene;
}

/** The card when nothing is selected: the hooping, the whole design, cloths and threads. */
export function ProjectCard({ projectId, scene }: Props) {
  const { design, hooping } = scene;
  return (
    <div>
      <h2 className="px-4 pt-3 pb-1 font-head text-[17px] font-semibold">This project</h2>
      <Section title="Hooping">
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
      </Section>
      <Section title="Cloths" brief={`${scene.cloths.length}`}>
        <Cloths projectId={projectId} scene={scene} />
      </Section>
      <Section title="Threads" brief={`${scene.threads.length}`}>
        <Threads projectId={projectId} scene={scene} />
      </Section>
    </div>
  );
}

function HoopingFields({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const { hooping, cloths, threads } = scene;
  const clothOptions = cloths.map((cloth) => ({ value: cloth.id, label: cloth.name }));
  const threadOptions = threads.map((thread) => ({ value: thread.id, label: thread.name }));
  const clothMark = (id: string) => <ClothSwatch cloth={cloths.find((cloth) => cloth.id === id)} />;
  const threadMark = (id: string) => (
    <ThreadSwatch colour={threads.find((t) => t.id === id)?.colour ?? "#ffffff"} />
  );
  return (
    <div className="grid grid-cols-2 gap-x-1.5 gap-y-2">
      <Choice
        label="Ground cloth"
        className="col-span-2"
        value={hooping.groundClothId}
        options={clothOptions}
        mark={clothMark(hooping.groundClothId)}
        onChosen={(id) => void edits.edit({ edit: "setHooping", groundClothId: id })}
      />
      <Choice
        label="Stabiliser"
        className="col-span-2"
        value={hooping.stabiliserClothId}
        options={clothOptions}
        mark={clothMark(hooping.stabiliserClothId)}
        onChosen={(id) => void edits.edit({ edit: "setHooping", stabiliserClothId: id })}
      />
      <Choice
        label="Thread of lines"
        value={hooping.lineThreadId}
        options={threadOptions}
        mark={threadMark(hooping.lineThreadId)}
        onChosen={(id) => void edits.edit({ edit: "setHooping", lineThreadId: id })}
      />
      <Choice
        label="Thread of covers"
        value={hooping.coverThreadId}
        options={threadOptions}
        mark={threadMark(hooping.coverThreadId)}
        onChosen={(id) => void edits.edit({ edit: "setHooping", coverThreadId: id })}
      />
    </div>
  );
}

function Cloths({ projectId, scene }: Props) {
  const [asking, setAsking] = useState<Cloth | "new" | null>(null);
  return (
    <>
      <ul>
        {scene.cloths.map((cloth) => (
          <li key={cloth.id} className="flex items-center gap-2">
            <ClothSwatch cloth={cloth} />
            <span className="truncate">{cloth.name}</span>
            <IconButton
              label={`Change ${cloth.name}`}
              side="left"
              className="ml-auto h-7!"
              onClick={() => setAsking(cloth)}
            >
              <Pencil size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <Button onClick={() => setAsking("new")}>
        <Plus size={16} aria-hidden />
        New cloth
      </Button>
      {asking ? (
        <ClothPanel
          projectId={projectId}
          cloth={asking === "new" ? undefined : asking}
          onClose={() => setAsking(null)}
        />
      ) : null}
    </>
  );
}

function Threads({ projectId, scene }: Props) {
  const [asking, setAsking] = useState<Thread | "new" | null>(null);
  return (
    <>
      <ul>
        {scene.threads.map((thread) => (
          <li key={thread.id} className="flex items-center gap-2">
            <ThreadSwatch colour={thread.colour} />
            <span className="truncate">{thread.name}</span>
            <IconButton
              label={`Change ${thread.name}`}
              side="left"
              className="ml-auto h-7!"
              onClick={() => setAsking(thread)}
            >
              <Pencil size={15} aria-hidden />
            </IconButton>
          </li>
        ))}
      </ul>
      <Button onClick={() => setAsking("new")}>
        <Plus size={16} aria-hidden />
        New thread
      </Button>
      {asking ? (
        <ThreadPanel
          projectId={projectId}
          thread={asking === "new" ? undefined : asking}
          onClose={() => setAsking(null)}
        />
      ) : null}
    </>
  );
}
