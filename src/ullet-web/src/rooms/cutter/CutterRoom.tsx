import { ArrowLeft } from "lucide-react";
import { Link, useParams, useSearchParams } from "react-router";
import { useScene } from "../../api/queries";
import type { ClothCut, Scene, Sheet } from "../../api/client";
import { buttonClass } from "../../parts/Button";
import { sizeText } from "../../state/lengths";
import { CutterMat } from "./CutterMat";
import { CutterSteps } from "./CutterSteps";
import { useCutter } from "./useCutter";
import { useFilm } from "./useFilm";

/** The stand-in cutter: it takes a cut file as a device would, and shows what becomes of it. */
export function CutterRoom() {
  const { id = "" } = useParams();
  const [search] = useSearchParams();
  const scene = useScene(id).data;
  if (!scene) return null;
  const cloth = scene.cutCloths.find((each) => each.clothId === search.get("cloth")) ?? scene.cutCloths[0];
  const number = Number(search.get("sheet") ?? 1);
  const sheets = scene.sheets.filter((each) => each.clothId === cloth?.clothId);
  const sheet = sheets.find((each) => each.number === number) ?? sheets[0];
  if (!cloth || !sheet)
    return (
      <main className="flex flex-1 flex-col items-center justify-center gap-3" data-state="idle">
        <h1 className="sr-only">Dry run</h1>
        <p className="text-[17px]">Nothing is cut yet, so there is nothing to try out.</p>
        <Link className={buttonClass("main")} to={`/p/${id}/wall`}>
          Go to the wall
        </Link>
      </main>
    );
  return (
    <Device
      key={`${cloth.clothId} ${sheet.number}`}
      projectId={id}
      scene={scene}
      cloth={cloth}
      sheet={sheet}
    />
  );
}

interface Props {
  projectId: string;
  scene: Scene;
  cloth: ClothCut;
  sheet: Sheet;
}

function Device({ projectId, scene, cloth, sheet }: Props) {
  const cutter = useCutter(projectId, cloth, sheet);
  useFilm(cutter);
  const { read, stage } = cutter;
  const isMoving = stage.doing === "frame" || stage.doing === "cutting";
  return (
    <main className="flex min-h-0 flex-1" data-state={cutter.busy || isMoving ? "busy" : "idle"}>
      <div className="flex min-w-0 flex-1 flex-col">
        <div className="flex items-center gap-3 border-b border-line bg-white px-4 py-2">
          <Link className={buttonClass("quiet")} to={`/p/${projectId}/cutting`}>
            <ArrowLeft size={16} aria-hidden />
            Cutting table
          </Link>
          <h1 className="font-head text-[19px] font-semibold">Dry run: {cloth.name}</h1>
          <span className="text-[14px] text-muted">
            mat {sizeText(cloth.mat.width, cloth.mat.height, scene.unit)}, cut as{" "}
            {cloth.profile.name.toLowerCase()}
          </span>
        </div>
        <p className="sr-only" role="status">
          {stage.doing === "frame" ? "The knife goes round the frame." : ""}
          {stage.doing === "cutting" ? "The knife cuts." : ""}
          {stage.doing === "done" ? "The cut is done." : ""}
        </p>
        <div className="min-h-0 flex-1 p-3">
          <CutterMat scene={scene} cloth={cloth} cutter={cutter} />
        </div>
        <p className="border-t border-line bg-white px-4 py-2 text-[14px] text-muted">
          {read
            ? "Drag the material on the mat, or type its offset; then go round the frame."
            : `The mat is empty. Take a cut file, and ${cloth.name} is loaded with it.`}
        </p>
      </div>
      <aside
        aria-label="Stand-in cutter"
        className="w-[372px] shrink-0 overflow-y-auto max-lg:w-[300px] border-l border-line bg-white"
      >
        <CutterSteps scene={scene} cloth={cloth} cutter={cutter} />
      </aside>
    </main>
  );
}
