import { SquareDashed } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Scene, ZoneRole } from "../../../api/client";
import { useCatalogue } from "../../../api/queries";
import { RailMenu } from "./RailMenu";
import { wallEvents } from "../hands/wallEvents";

interface Props {
  projectId: string;
  scene: Scene;
}

/** Puts a zone on the wall. */
export function ZoneVerb({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const zones = useCatalogue().data?.zones ?? [];
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
        {zones.map(({ role, name, summary }) => (
          <button
            key={role}
            type="button"
            className="block w-full rounded-card px-3 py-2 text-left hover:bg-indigo-pale"
            onClick={() => add(role)}
          >
            <span className="block font-semibold">{name}</span>
            <span className="block text-[13px] text-muted">{summary}</span>
          </button>
        ))}
      </div>
    </RailMenu>
  );
}
