import { X } from "lucide-react";
import { useMap } from "../../../api/queries";
import { MAP_COLOURS } from "../../../canvas/mapPainter";
import { IconButton } from "../../../parts/IconButton";
import { useView } from "../../../state/view";

const TITLES = {
  density: "Needle points, all steps together",
  coverage: "Thread over the covers’ bands",
};

interface Props {
  projectId: string;
  head: number;
}

/** What the colours of the map over the wall mean. */
export function MapLegend({ projectId, head }: Props) {
  const { map: kind, showMap } = useView();
  const map = useMap(projectId, kind, head).data;
  if (!kind) return null;
  return (
    <section
      aria-label="Map"
      data-state={map ? "idle" : "busy"}
      className="absolute bottom-3 left-3 z-10 rounded-card border border-line bg-white px-3 py-2 shadow"
    >
      <div className="flex items-center gap-3">
        <h2 className="text-[14px] font-semibold">{TITLES[kind]}</h2>
        <IconButton label="Close the map" side="right" className="h-7!" onClick={() => showMap(null)}>
          <X size={16} aria-hidden />
        </IconButton>
      </div>
      {map?.columns === 0 ? <p className="text-[14px] text-muted">Nothing is sewn yet.</p> : null}
      <ul className="text-[14px]">
        {map?.legend.map(({ name, area }, i) => (
          <li key={name} className="flex items-center gap-2">
            <span
              aria-hidden
              className="size-3.5 rounded-[3px] border border-ink/25"
              style={{ backgroundColor: MAP_COLOURS[kind][i] }}
            />
            {name}
            <span className="ml-auto pl-4 text-[13px] text-muted">{(area / 100).toFixed(1)} cm²</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
