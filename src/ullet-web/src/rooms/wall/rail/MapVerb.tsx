import { Grid2x2 } from "lucide-react";
import { useState } from "react";
import { useView, type MapKind } from "../../../state/view";
import { RailMenu } from "./RailMenu";

const MAPS: { kind: MapKind | null; name: string; what: string }[] = [
  { kind: "density", name: "Density", what: "where needle points crowd" },
  { kind: "coverage", name: "Coverage", what: "where covers leave cloth bare" },
  { kind: null, name: "No map", what: "the drawing alone" },
];

/** Which map lies over the wall. */
export function MapVerb() {
  const { map, showMap } = useView();
  const [open, setOpen] = useState(false);
  const choose = (kind: MapKind | null) => {
    setOpen(false);
    showMap(kind);
  };
  return (
    <RailMenu
      icon={Grid2x2}
      label="Maps"
      title="Maps"
      pressed={map !== null}
      open={open}
      onOpenChange={setOpen}
    >
      <div className="w-[232px]">
        {MAPS.map(({ kind, name, what }) => (
          <button
            key={name}
            type="button"
            aria-pressed={kind === map}
            className="block w-full rounded-card px-2 py-1.5 text-left hover:bg-indigo-pale aria-pressed:bg-indigo-pale"
            onClick={() => choose(kind)}
          >
            <span className="block font-medium">{name}</span>
            <span className="block text-[13px] text-muted">{what}</span>
          </button>
        ))}
      </div>
    </RailMenu>
  );
}
