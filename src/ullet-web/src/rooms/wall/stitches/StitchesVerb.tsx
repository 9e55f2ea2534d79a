import { GitCompareArrows, PackageOpen, Spool } from "lucide-react";
import { useState, type ReactNode } from "react";
import { Refused, type Scene } from "../../../api/client";
import { FilesChooser } from "../../../parts/fields/FilesChooser";
import { say } from "../../../state/messages";
import { useWhenAsked } from "../../../verbs/asks";
import { PartsPanel } from "../parts/PartsPanel";
import { RailMenu } from "../rail/RailMenu";
import { ComparePanel } from "./ComparePanel";
import { importStitches, type StitchImport } from "./importStitches";
import { StitchPanel } from "./StitchPanel";

interface Props {
  projectId: string;
  scene: Scene;
}

export const STITCH_FILES = ".ulst,.csv,.tsv,.gcode,.nc,.ngc,.svg,.dxf,.zip";

type Asked = "parts" | "compare" | StitchImport | null;

const ROW = "flex w-full items-center gap-2.5 rounded-card px-2.5 py-2 text-left hover:bg-indigo-pale";

/** Stitches that somebody else made, files compared, and parts to keep. */
export function StitchesVerb({ projectId, scene }: Props) {
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState<Asked>(null);
  const close = () => setAsked(null);
  useWhenAsked("parts", () => setAsked("parts"));
  useWhenAsked("compare", () => setAsked("compare"));

  const bringIn = async (files: File[]) => {
    setOpen(false);
    try {
      setAsked(await importStitches(files));
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That file can’t be read.", "trouble");
    }
  };

  return (
    <>
      <FilesChooser label="Stitch files" accept={STITCH_FILES} onChosen={bringIn}>
        {(choose) => (
          <StitchesMenu choose={choose} open={open} onOpenChange={setOpen}>
            <div className="w-[270px]">
              <button type="button" className={ROW} onClick={choose}>
                <Spool size={19} aria-hidden />
                <span>
                  Open a stitch file
                  <span className="block text-[13px] text-muted">or several sizes of one, or a zip</span>
                </span>
              </button>
              <button
                type="button"
                className={ROW}
                onClick={() => {
                  setOpen(false);
                  setAsked("compare");
                }}
              >
                <GitCompareArrows size={19} aria-hidden />
                <span>
                  Compare stitch files
                  <span className="block text-[13px] text-muted">is this still what was sewn?</span>
                </span>
              </button>
              <button
                type="button"
                className={ROW}
                onClick={() => {
                  setOpen(false);
                  setAsked("parts");
                }}
              >
                <PackageOpen size={19} aria-hidden />
                <span>
                  Shelf of parts
                  <span className="block text-[13px] text-muted">kept with their steps and hands</span>
                </span>
              </button>
            </div>
          </StitchesMenu>
        )}
      </FilesChooser>
      {asked === "parts" ? <PartsPanel projectId={projectId} scene={scene} onClose={close} /> : null}
      {asked === "compare" ? <ComparePanel projectId={projectId} scene={scene} onClose={close} /> : null}
      {asked && typeof asked === "object" ? (
        <StitchPanel projectId={projectId} scene={scene} imported={asked} onClose={close} />
      ) : null}
    </>
  );
}

interface MenuProps {
  choose: () => void;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
}

/** The menu, which also opens the chooser of files where that is asked for from elsewhere. */
function StitchesMenu({ choose, ...rest }: MenuProps) {
  useWhenAsked("stitchFile", choose);
  return <RailMenu icon={Spool} label="Stitches" title="Stitches" {...rest} />;
}
