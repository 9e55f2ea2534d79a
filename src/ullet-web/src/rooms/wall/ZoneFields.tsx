import { useEdits } from "../../api/edits";
import type { ZoneElement } from "../../api/client";
import { Choice } from "../../parts/Choice";
import { ZONES } from "./ZoneVerb";

interface Props {
  projectId: string;
  element: ZoneElement;
}

/** What a zone is for. */
export function ZoneFields({ projectId, element }: Props) {
  const edits = useEdits(projectId);
  const known = ZONES.find((zone) => zone.role === element.zone);
  return (
    <>
      <Choice
        label="What it is for"
        value={element.zone}
        options={ZONES.map(({ role, name }) => ({ value: role, label: name }))}
        onChosen={(value) => {
          const role = ZONES.find((zone) => zone.role === value)?.role;
          if (role) void edits.edit({ edit: "setZone", elementId: element.id, role });
        }}
      />
      <p className="text-[14px] text-muted">{known?.what}</p>
    </>
  );
}
