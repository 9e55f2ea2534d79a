import { SquareDashed } from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { ZoneRole } from "../../../api/client";
import { useCatalogue } from "../../../api/queries";
import { useWhenAsked } from "../../../verbs/asks";
import { RailMenu } from "./RailMenu";

interface Props {
  projectId: string;
}

/** Puts a zone on the wall. */
export function ZoneVerb({ projectId }: Props) {
  const edits = useEdits(projectId);
  const zones = useCatalogue().data?.zones ?? [];
  const [open, setOpen] = useState(false);
  useWhenAsked("zone", () => setOpen(true));
  const add = (role: ZoneRole) => {
    setOpen(false);
    void edits.add({ edit: "addZone", role, shape: { form: "rectangle", cornerRadius: 2 } });
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
