import { Scissors } from "lucide-react";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { useExports, useScene } from "../../api/queries";
import { buttonClass } from "../../parts/Button";
import { ClothTabs } from "./ClothTabs";
import { Mat } from "./Mat";
import { SheetBar } from "./SheetBar";
import { TableCard } from "./TableCard";

/** The cutting table: the mats of each cloth, what is cut and how large beside them, the dry run below. */
export function CuttingTable() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const exports = useExports(id, scene?.head ?? 0).data ?? [];
  const [at, setAt] = useState<{ clothId: string | null; sheet: number }>({ clothId: null, sheet: 1 });
  const [chosen, setChosen] = useState<string[]>([]);
  if (!scene) return null;
  const cloth = scene.cutCloths.find((each) => each.clothId === at.clothId) ?? scene.cutCloths[0];
  const sheets = scene.sheets.filter((each) => each.clothId === cloth?.clothId);
  const sheet = sheets.find((each) => each.number === at.sheet) ?? sheets[0];
  if (!cloth || !sheet)
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
  const own = exports.filter((each) => each.clothId === cloth.clothId);
  const room = { projectId: id, scene, cloth, sheet, chosen, choose: setChosen, exports: own };
  return (
    <main className="flex min-h-0 flex-1" data-state="idle">
      <h1 className="sr-only">Cutting table</h1>
      <ClothTabs
        scene={scene}
        chosen={cloth.clothId}
        outdated={new Set(exports.filter((each) => !each.isCurrent).map((each) => each.clothId))}
        onChosen={(clothId) => {
          setAt({ clothId, sheet: 1 });
          setChosen([]);
        }}
      >
        <SheetBar
          {...room}
          sheets={sheets}
          onSheet={(number) => setAt({ clothId: cloth.clothId, sheet: number })}
        />
        <Mat {...room} />
        <div className="flex shrink-0 items-center gap-4 border-t border-line bg-white px-4 py-2.5">
          {cloth.isByHand ? (
            <p className="text-[14px]">
              {cloth.name} is cut to length with scissors; the page for scissors shows it at its true size.
            </p>
          ) : (
            <>
              <Link
                className={buttonClass("main")}
                to={`/p/${id}/cutting/dry-run?cloth=${cloth.clothId}&sheet=${sheet.number}`}
              >
                <Scissors size={16} aria-hidden />
                Dry run
              </Link>
              <p className="text-[14px] text-muted">
                The stand-in cutter takes the exported file: lay the cloth, go round the frame, test the
                blade, and see what is cut free, before real cloth is.
              </p>
            </>
          )}
        </div>
      </ClothTabs>
      <TableCard {...room} />
    </main>
  );
}
