import { FolderOpen } from "lucide-react";
import type { ReactNode } from "react";
import type { ClothCut, Scene } from "../../api/client";
import { useCatalogue } from "../../api/queries";
import { Button } from "../../parts/Button";
import { FileChooser } from "../../parts/fields/FileChooser";
import { Choice } from "../../parts/fields/Choice";
import { LengthField } from "../../parts/fields/LengthField";
import { NumberField } from "../../parts/fields/NumberField";
import { sizeText } from "../../state/lengths";
import { CutterReport } from "./CutterReport";
import type { Corner, Cutter } from "./useCutter";
import { Tick } from "../../parts/fields/Tick";
import { Pill } from "../../parts/Pill";

interface Props {
  scene: Scene;
  cloth: ClothCut;
  cutter: Cutter;
}

/** The five steps at a cutter, in their order. */
export function CutterSteps({ scene, cloth, cutter }: Props) {
  const { file, read, setting, test, busy, stage } = cutter;
  const formats = useCatalogue().data?.cutFormats.filter((format) => format.isRunByCutter) ?? [];
  const isMoving = stage.doing === "frame" || stage.doing === "cutting";
  return (
    <ol className="divide-y divide-line">
      <Step number={1} title="Load the mat">
        <div className="flex flex-wrap gap-2">
          {formats.map((format) => (
            <Button
              key={format.id}
              disabled={busy || isMoving}
              onClick={() => void cutter.take(format.ending)}
            >
              Take {format.name}
            </Button>
          ))}
          <FileChooser
            label="Cut file"
            accept={formats.map(({ ending }) => `.${ending}`).join(",")}
            onChosen={async (chosen) => cutter.load({ name: chosen.name, bytes: await chosen.arrayBuffer() })}
          >
            {(open) => (
              <Button disabled={isMoving} onClick={open}>
                <FolderOpen size={15} aria-hidden />
                Open a cut file
              </Button>
            )}
          </FileChooser>
        </div>
        <p className="text-[14px]">
          {file && read ? (
            <>
              <strong>{file.name}</strong>: frame {sizeText(read.frame.width, read.frame.height, scene.unit)},{" "}
              {read.lines.length} {read.lines.length === 1 ? "line" : "lines"}.
              {read.mirrored ? ` Mirrored already: ${read.mirrored}.` : " Not mirrored."}
            </>
          ) : (
            `Nothing lies on the mat yet. Take the file as it was exported: ${cloth.name} is loaded for it.`
          )}
        </p>
      </Step>
      <Step number={2} title="Place the material">
        <div className="grid grid-cols-2 gap-2">
          <LengthField
            label="From the left edge"
            value={setting.x}
            unit={scene.unit}
            disabled={isMoving}
            onTyped={(x) => cutter.change({ x })}
          />
          <LengthField
            label="From the top edge"
            value={setting.y}
            unit={scene.unit}
            disabled={isMoving}
            onTyped={(y) => cutter.change({ y })}
          />
        </div>
        <Tick
          label="The cutter mirrors what it reads"
          checked={setting.mirror}
          disabled={isMoving}
          onChanged={(on) => cutter.change({ mirror: on })}
        />
        {read?.warnings.map((words) => (
          <p key={words} className="text-[14px] font-semibold text-madder">
            {words}
          </p>
        ))}
      </Step>
      <Step number={3} title="Go round the frame">
        <Button disabled={!read || busy || isMoving} onClick={cutter.goRound}>
          Go round, blade up
        </Button>
      </Step>
      <Step number={4} title="Test cut">
        <div className="grid grid-cols-[1fr_0.8fr_1.4fr] gap-2">
          <LengthField
            label="Depth"
            value={setting.depth}
            unit={scene.unit}
            onTyped={(depth) => cutter.change({ depth })}
          />
          <NumberField
            label="Passes"
            digits={0}
            value={setting.passes}
            onTyped={(passes) => cutter.change({ passes: Math.round(passes) })}
          />
          <Choice
            label="Corner"
            value={setting.corner}
            options={[
              { value: "topLeft", label: "top left" },
              { value: "topRight", label: "top right" },
              { value: "bottomLeft", label: "bottom left" },
              { value: "bottomRight", label: "bottom right" },
            ]}
            onChosen={(corner) => cutter.change({ corner: corner as Corner })}
          />
        </div>
        <div className="flex items-center gap-3">
          <Button disabled={!read || busy || isMoving} onClick={() => void cutter.tryBlade()}>
            Cut a ring and lift it
          </Button>
          <span className="text-[13px] text-muted">the blade has cut {cutter.metres.toFixed(1)} m</span>
        </div>
        {read ? null : (
          <p className="text-[13px] text-muted">
            No cloth is on the mat, so no ring can be cut. Load the mat first.
          </p>
        )}
        {test ? (
          <p className={`text-[14px] ${test.liftsOut && !test.marksMat ? "" : "font-semibold text-madder"}`}>
            {test.words}
          </p>
        ) : null}
      </Step>
      <Step number={5} title="Cut">
        <CutterReport cutter={cutter} unit={scene.unit} />
      </Step>
    </ol>
  );
}

function Step({ number, title, children }: { number: number; title: string; children: ReactNode }) {
  return (
    <li className="space-y-1.5 px-4 py-2.5">
      <h2 className="flex items-center gap-2 font-semibold">
        <Pill filled>{number}</Pill>
        {title}
      </h2>
      {children}
    </li>
  );
}
