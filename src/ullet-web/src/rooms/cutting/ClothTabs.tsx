import { TriangleAlert } from "lucide-react";
import type { Scene } from "../../api/client";
import { ClothSwatch } from "../../parts/Swatch";

interface Props {
  scene: Scene;
  chosen: string;
  /** Cloths with a file that does not match the stitching any more. */
  outdated: Set<string>;
  onChosen: (clothId: string) => void;
}

/** One tab for each cloth that is cut. */
export function ClothTabs({ scene, chosen, outdated, onChosen }: Props) {
  return (
    <div
      role="tablist"
      aria-label="Mats, one set for each cloth"
      className="flex flex-wrap gap-1 border-b border-line bg-white px-3 pt-1.5"
    >
      {scene.cutCloths.map((cloth) => (
        <button
          key={cloth.clothId}
          type="button"
          role="tab"
          aria-selected={cloth.clothId === chosen}
          className="flex items-center gap-2 rounded-t-card border-b-3 border-transparent px-2.5 py-1.5 text-[14px] hover:bg-chalk aria-selected:border-verdigris aria-selected:font-semibold"
          onClick={() => onChosen(cloth.clothId)}
        >
          <ClothSwatch cloth={scene.cloths.find((each) => each.id === cloth.clothId)} />
          {cloth.name}
          {outdated.has(cloth.clothId) ? (
            <TriangleAlert size={15} className="text-madder" aria-label="a cut file is out of date" />
          ) : null}
        </button>
      ))}
    </div>
  );
}
