import { SquareDashed } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../api/edits";
import type { Scene, ZoneRole } from "../../api/client";
import { RailMenu } from "./RailMenu";
import { wallEvents } from "./wallEvents";

interface Props {
  projectId: string;
  scene: Scene;
}

/** What zones are for, as they are offered. */
export const ZONES: { role: ZoneRole; name: string; what: string }[] = [
  { role: "keepClear", name: "Keep clear", what: "No needle may enter: a snap, a pocket, a magnet." },
  {
    role: "stayWithin",
    name: "Stay within",
    what: "Every stitch must lie inside: what a frame leaves free.",
  },
  { role: "guide", name: "Guide", what: "Only for your eyes; never stitched." },
];

/** Puts a zone on the wall. */
export function ZoneVerb({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const [open, setOpen] = useState(false);
  const add = (role: ZoneRole) => {
    setOpen(false);
    const before = scene.elements.map((element) => element.id);
    void wallEvents.adding(projectId, before, () =>
      edits.edit({ edit: "addZone", role, shape: { form: "rectangle", cornerRadius: 2 } }),
    );
  };
  return (
    <RailMenu icon={SquareDashed} label="Zone" title="Zones" open={open} onOpenChange={setOpen}>
      <div className="w-[254px] space-y-1">
        {ZONES.map(({ role, name, what }) => (
          <button
            key={role}
            type="button"
            className="block w-full rounded-card px-3 py-2 text-left hover:bg-indigo-pale"
            onClick={() => add(role)}
          >
            <span className="block font-semibold">{name}</span>
            <span className="block text-[13px] text-muted">{what}</span>
          </button>
        ))}
      </div>
    </RailMenu>
  );
}
