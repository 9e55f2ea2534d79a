import { Download } from "lucide-react";
import { useState } from "react";
import type { Scene } from "../../../api/client";
import { buttonClass } from "../../../parts/Button";
import { Choice } from "../../../parts/fields/Choice";
import { Panel } from "../../../parts/Panel";

interface Props {
  projectId: string;
  scene: Scene;
  onClose: () => void;
}

const FRAMES = [
  { value: "design", label: "the design, close" },
  { value: "field", label: "the whole sewing field" },
];

/** The work as it will look when it is finished; the picture can be saved. */
export function MockUpPanel({ projectId, scene, onClose }: Props) {
  const [frame, setFrame] = useState("design");
  const [drawn, setDrawn] = useState<string | null>(null);
  const address = (size: number) =>
    `/api/projects/${projectId}/picture.png?size=${size}&frame=${frame}&rev=${scene.head}`;
  const shown = address(1400);
  return (
    <Panel title="As finished" size="large" onClose={onClose}>
      <div
        data-state={drawn === shown ? "idle" : "busy"}
        className="relative flex min-h-0 flex-1 items-center justify-center overflow-hidden rounded-card bg-chalk"
      >
        {drawn === shown ? null : <p className="absolute text-muted">Sewing the picture…</p>}
        <img
          key={shown}
          src={shown}
          alt={`Mock-up of ${scene.title}. ${scene.summary}`}
          className="max-h-full max-w-full object-contain"
          onLoad={() => setDrawn(shown)}
        />
      </div>
      <div className="flex items-end gap-3 pt-3">
        <Choice label="Show" className="w-[220px]" value={frame} options={FRAMES} onChosen={setFrame} />
        <p className="pb-1.5 text-[13px] text-muted">
          Cloths with a photo are shown with it; give a cloth its photo under Change this cloth.
        </p>
        <a href={address(2400)} download className={`${buttonClass("main")} ml-auto`}>
          <Download size={16} aria-hidden />
          Save the picture
        </a>
      </div>
    </Panel>
  );
}
