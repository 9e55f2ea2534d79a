import { useMemo, useState } from "react";
import { answered, api, Refused, type Scene, type Schemas } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { FilesChooser } from "../../../parts/fields/FilesChooser";
import { Panel } from "../../../parts/Panel";
import { sizeText } from "../../../state/lengths";
import { say } from "../../../state/messages";
import { importStitches } from "./importStitches";
import { threadsOf, type StitchPreview } from "./previews";
import { ThreadCanvas } from "./ThreadCanvas";

interface Props {
  projectId: string;
  scene: Scene;
  onClose: () => void;
}

type Compared = Schemas["ComparedDto"];

const FATES: Record<Compared["blocks"][number]["fate"], string> = {
  same: "same",
  moved: "moved",
  changed: "changed",
  gone: "gone",
  new: "new",
};

/** Two stitch files side by side; without a second one, a file and what the project sews now. */
export function ComparePanel({ projectId, scene, onClose }: Props) {
  const [compared, setCompared] = useState<Compared | null>(null);
  const [names, setNames] = useState<[string, string]>(["", ""]);
  const [marked, setMarked] = useState<{ first: number | null; second: number | null }>({
    first: null,
    second: null,
  });

  const compare = async (files: File[]) => {
    try {
      const brought = await Promise.all(files.slice(0, 2).map((file) => importStitches([file])));
      const [first, second] = brought.map((one) => one.files[0]);
      if (!first) return;
      setNames([first.name, second?.name ?? scene.title]);
      setMarked({ first: null, second: null });
      setCompared(
        await answered(
          api.POST("/api/stitches/compare", {
            body: { first: first.token, second: second?.token ?? null, projectId: second ? null : projectId },
          }),
        ),
      );
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "These files can’t be compared.", "trouble");
    }
  };

  return (
    <Panel title="Compare stitch files" size="large" onClose={onClose}>
      <div className="flex items-center gap-3">
        <FilesChooser
          label="Stitch files to compare"
          accept=".ulst,.csv,.tsv,.gcode,.nc,.ngc"
          onChosen={compare}
        >
          {(open) => (
            <Button look="main" onClick={open}>
              Choose files
            </Button>
          )}
        </FilesChooser>
        <p className="text-[14px] text-muted">
          One file is compared with what this project sews now; two with each other, the older one first.
        </p>
      </div>
      {compared ? (
        <>
          <ul aria-label="What differs" className="mt-3 list-inside list-disc text-[15px]">
            {compared.isSame ? <li>Both sew the same needle points and stop at the same places.</li> : null}
            {compared.said.map((words) => (
              <li key={words}>{words}</li>
            ))}
          </ul>
          <div className="mt-3 grid min-h-0 flex-1 grid-cols-[1fr_1fr_280px] gap-3">
            <Side name={names[0]} preview={compared.first} marked={marked.first} unit={scene.unit} />
            <Side name={names[1]} preview={compared.second} marked={marked.second} unit={scene.unit} />
            <ol
              aria-label="Blocks compared"
              className="divide-y divide-line overflow-y-auto rounded-card border border-line text-[14px]"
            >
              {compared.blocks.map((block, i) => (
                <li key={i}>
                  <button
                    type="button"
                    className="w-full px-2.5 py-1.5 text-left hover:bg-chalk aria-pressed:bg-indigo-pale"
                    aria-pressed={
                      marked.first === (block.first ?? null) && marked.second === (block.second ?? null)
                    }
                    onClick={() => setMarked({ first: block.first ?? null, second: block.second ?? null })}
                  >
                    <span className="font-medium">
                      Block {block.first ?? "–"} → {block.second ?? "–"}, {FATES[block.fate]}
                    </span>
                    <span className="block text-[13px] text-muted">{block.words}</span>
                  </button>
                </li>
              ))}
            </ol>
          </div>
        </>
      ) : null}
      <div className="mt-3 flex justify-end">
        <Button onClick={onClose}>Close</Button>
      </div>
    </Panel>
  );
}

interface SideProps {
  name: string;
  preview: StitchPreview;
  marked: number | null;
  unit: Scene["unit"];
}

function Side({ name, preview, marked, unit }: SideProps) {
  const threads = useMemo(() => threadsOf(preview, marked), [preview, marked]);
  return (
    <figure className="flex min-h-0 flex-col">
      <div className="min-h-0 flex-1 rounded-card border border-line bg-chalk p-2">
        <ThreadCanvas threads={threads} label={`Stitches of ${name}`} />
      </div>
      <figcaption className="pt-1 text-[14px]">
        <span className="font-medium">{name}</span>{" "}
        <span className="text-muted">
          {sizeText(preview.width, preview.height, unit)}, {preview.stitches.toLocaleString("en-GB")}{" "}
          stitches, {preview.stops} stops
        </span>
      </figcaption>
    </figure>
  );
}
