import { useState } from "react";
import { Link, useParams } from "react-router";
import { useScene } from "../../api/queries";
import { buttonClass } from "../../parts/Button";
import { ClothSwatch } from "../../parts/Swatch";
import { DryRunPanel } from "./DryRunPanel";
import { Mat } from "./Mat";
import { SheetCard } from "./SheetCard";

/** The cutting table: one mat for each cloth, sizes beside it, the dry run below. */
export function CuttingTable() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const [chosen, setChosen] = useState<string | null>(null);
  if (!scene) return null;
  const sheet = scene.sheets.find((each) => each.clothId === chosen) ?? scene.sheets[0];
  if (!sheet)
    return (
      <main className="flex flex-1 flex-col items-center justify-center gap-3" data-state="idle">
        <h1 className="sr-only">Cutting table</h1>
        <p className="text-[17px]">
          Nothing is cut yet. Lay a piece on the wall, and its cut shape lies here at its true size.
        </p>
        <Link className={buttonClass("main")} to={`/p/${id}/wall`}>
          Go to the wall
        </Link>
      </main>
    );
  return (
    <main className="flex min-h-0 flex-1" data-state="idle">
      <h1 className="sr-only">Cutting table</h1>
      <div className="flex min-w-0 flex-1 flex-col">
        <div
          role="tablist"
          aria-label="Mats, one for each cloth"
          className="flex gap-1 border-b border-line bg-white px-3 pt-2"
        >
          {scene.sheets.map((each) => (
            <button
              key={each.clothId}
              type="button"
              role="tab"
              aria-selected={each === sheet}
              className="flex items-center gap-2 rounded-t-card border-b-3 border-transparent px-3 py-1.5 hover:bg-chalk aria-selected:border-verdigris aria-selected:font-semibold"
              onClick={() => setChosen(each.clothId)}
            >
              <ClothSwatch cloth={scene.cloths.find((cloth) => cloth.id === each.clothId)} />
              {each.clothName}
              <span className="text-[13px] text-muted">{each.shapes.length}</span>
            </button>
          ))}
        </div>
        <Mat sheet={sheet} cloth={scene.cloths.find((cloth) => cloth.id === sheet.clothId)} />
        <DryRunPanel key={`${sheet.clothId} ${scene.head}`} projectId={id} sheet={sheet} />
      </div>
      <SheetCard projectId={id} scene={scene} sheet={sheet} />
    </main>
  );
}
