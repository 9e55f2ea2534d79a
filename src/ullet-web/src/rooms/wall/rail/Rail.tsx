import {
  Bird,
  FileInput,
  Image,
  Keyboard,
  Maximize,
  PenTool,
  Pencil,
  Ruler,
  Scaling,
  Shapes,
  Type,
  ZoomIn,
  ZoomOut,
  type LucideIcon,
} from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import { useCatalogue } from "../../../api/queries";
import { importFile, Refused, type ImportPreview, type Scene, type ShapeSource } from "../../../api/client";
import { FileChooser } from "../../../parts/fields/FileChooser";
import { IconButton } from "../../../parts/IconButton";
import { say } from "../../../state/messages";
import { useRuler, USUAL_PIXELS } from "../../../state/ruler";
import { useView } from "../../../state/view";
import { CalibratePanel } from "./CalibratePanel";
import { ImportPanel } from "./ImportPanel";
import { LettersPanel } from "../forms/words/LettersPanel";
import { MapVerb } from "./MapVerb";
import { MockUpPanel } from "./MockUpPanel";
import { StitchesVerb } from "../stitches/StitchesVerb";
import { SketchPanel } from "../sketches/SketchPanel";
import { ShapePicture } from "./ShapePicture";
import { RailMenu, VERB } from "./RailMenu";
import { ZoneVerb } from "./ZoneVerb";
import { ask, useWhenAsked } from "../../../verbs/asks";
import { wallEvents } from "../../../verbs/wallEvents";

interface Props {
  projectId: string;
  scene: Scene;
}

type Asked = "letters" | "sketches" | "mockUp" | "calibrate" | ImportPreview | null;

/** The slim rail of verbs on the left. */
export function Rail({ projectId, scene }: Props) {
  const [asked, setAsked] = useState<Asked>(null);
  const { tool, setTool, select } = useView();
  const calibrated = useRuler((ruler) => ruler.pixelsPerMm) !== USUAL_PIXELS;
  const close = () => setAsked(null);

  useWhenAsked("letters", () => setAsked("letters"));
  useWhenAsked("sketches", () => setAsked("sketches"));
  useWhenAsked("mockUp", () => setAsked("mockUp"));

  const bringIn = async (file: File) => {
    try {
      const imported = await importFile(file);
      if (!imported.drawing)
        throw new Refused(`"${file.name}" is no drawing; choose an SVG file.`, "import-foreign");
      setAsked(imported);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That file can’t be read.", "trouble");
    }
  };

  return (
    <nav
      aria-label="Verbs"
      className="flex w-[68px] shrink-0 flex-col items-center gap-0.5 overflow-x-hidden overflow-y-auto border-r border-line bg-white py-1.5"
    >
      <ShapeVerb projectId={projectId} />
      <Verb icon={Type} label="Letters" onClick={() => setAsked("letters")} />
      <Verb icon={Bird} label="Drawings" onClick={() => setAsked("sketches")} />
      <Verb
        icon={PenTool}
        label="Draw"
        pressed={tool === "pen"}
        onClick={() => {
          select([]);
          setTool(tool === "pen" ? "select" : "pen");
        }}
      />
      <Verb
        icon={Pencil}
        label="By hand"
        pressed={tool === "freehand"}
        onClick={() => {
          select([]);
          setTool(tool === "freehand" ? "select" : "freehand");
        }}
      />
      <FileChooser label="Drawing file" accept=".svg,.dxf" onChosen={bringIn}>
        {(open) => <ImportVerb open={open} />}
      </FileChooser>
      <StitchesVerb projectId={projectId} scene={scene} />
      <Verb
        icon={Ruler}
        label="Measure"
        pressed={tool === "measure"}
        onClick={() => {
          select([]);
          setTool(tool === "measure" ? "select" : "measure");
        }}
      />
      <ZoneVerb projectId={projectId} />
      <MapVerb />
      <Verb icon={Image} label="Mock-up" onClick={() => setAsked("mockUp")} />
      <div className="mt-auto grid grid-cols-2 place-items-center">
        <IconButton label="Zoom in" keys="+" side="right" onClick={() => wallEvents.zoom(1.25)}>
          <ZoomIn size={19} aria-hidden />
        </IconButton>
        <IconButton label="Zoom out" keys="−" side="right" onClick={() => wallEvents.zoom(0.8)}>
          <ZoomOut size={19} aria-hidden />
        </IconButton>
        <IconButton label="Fit the hoop" keys="0" side="right" onClick={() => wallEvents.fit()}>
          <Maximize size={19} aria-hidden />
        </IconButton>
        <IconButton
          label={calibrated ? "True size" : "True size; lay a ruler on the screen first"}
          keys="1"
          side="right"
          onClick={() => (calibrated ? wallEvents.trueSize() : setAsked("calibrate"))}
        >
          <Scaling size={19} aria-hidden />
        </IconButton>
        <IconButton label="Keys" keys="?" side="right" onClick={() => ask("keys")}>
          <Keyboard size={19} aria-hidden />
        </IconButton>
      </div>
      {asked === "letters" ? <LettersPanel projectId={projectId} scene={scene} onClose={close} /> : null}
      {asked === "sketches" ? <SketchPanel projectId={projectId} scene={scene} onClose={close} /> : null}
      {asked === "mockUp" ? <MockUpPanel projectId={projectId} scene={scene} onClose={close} /> : null}
      {asked === "calibrate" ? <CalibratePanel onClose={close} /> : null}
      {asked && typeof asked === "object" ? (
        <ImportPanel projectId={projectId} scene={scene} imported={asked} onClose={close} />
      ) : null}
    </nav>
  );
}

interface VerbProps {
  icon: LucideIcon;
  label: string;
  pressed?: boolean;
  onClick: () => void;
}

function Verb({ icon: Icon, label, pressed, onClick }: VerbProps) {
  return (
    <button type="button" aria-pressed={pressed} className={VERB} onClick={onClick}>
      <Icon size={21} aria-hidden />
      {label}
    </button>
  );
}

function ImportVerb({ open }: { open: () => void }) {
  useWhenAsked("drawingFile", open);
  return <Verb icon={FileInput} label="Import" onClick={open} />;
}

function ShapeVerb({ projectId }: { projectId: string }) {
  const edits = useEdits(projectId);
  const catalogue = useCatalogue();
  const [open, setOpen] = useState(false);
  useWhenAsked("shapes", () => setOpen(true));

  const add = (shape: ShapeSource) => {
    setOpen(false);
    void edits.add({ edit: "addPiece", shape, aside: true });
  };

  return (
    <RailMenu icon={Shapes} label="Shape" title="Shapes" open={open} onOpenChange={setOpen}>
      <div className="grid max-h-[calc(100vh-130px)] w-[430px] grid-cols-5 gap-1 overflow-y-auto">
        {catalogue.data?.shapes.map(({ name, shape, path }) => (
          <button
            key={name}
            type="button"
            className="flex flex-col items-center gap-1 rounded-card px-1 py-2 text-[13px] hover:bg-indigo-pale"
            onClick={() => add(shape)}
          >
            <ShapePicture path={path} />
            {name}
          </button>
        ))}
      </div>
    </RailMenu>
  );
}
