import { useEdits } from "../../../../api/edits";
import type { Made } from "../../../../api/elements";
import { useCatalogue } from "../../../../api/queries";
import { Choice } from "../../../../parts/fields/Choice";
import type { ElementProps } from "../../card/elementProps";

/** What a zone is for. */
export function ZoneFields({ projectId, element }: ElementProps<Made<"zone">>) {
  const edits = useEdits(projectId);
  const zones = useCatalogue().data?.zones ?? [];
  const known = zones.find((zone) => zone.role === element.making.role);
  return (
    <>
      <Choice
        label="What it is for"
        value={element.making.role}
        options={zones.map(({ role, name }) => ({ value: role, label: name }))}
        onChosen={(value) => {
          const role = zones.find((zone) => zone.role === value)?.role;
          return role ? edits.edit({ edit: "setZone", elementId: element.id, role }) : undefined;
        }}
      />
      <p className="text-[14px] text-muted">{known?.summary}</p>
    </>
  );
}
