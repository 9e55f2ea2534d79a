import { useQueryClient } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { answered, api, Refused, type Scene, type Sketch, type SketchWay } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import { useSketches, useSketchFit } from "../../../api/queries";
import { Button } from "../../../parts/Button";
import { FormPanel } from "../../../parts/FormPanel";
import { LengthField } from "../../../parts/fields/LengthField";
import { PlainField } from "../../../parts/fields/PlainField";
import { Segments } from "../../../parts/fields/Segments";
import { say } from "../../../state/messages";
import { shown } from "../../../state/lengths";
import { SketchPicture, SketchRows } from "./SketchPicture";
import { WAYS } from "./ways";

interface Props {
  projectId: string;
  scene: Scene;
  onClose: () => void;
}

const USUAL_SIZE = 60;

/** The shelf of small drawings: one is chosen by its picture, and set on the wall in cloth, in thread or in line. */
export function SketchPanel({ projectId, scene, onClose }: Props) {
  const edits = useEdits(projectId);
  const queries = useQueryClient();
  const [search, setSearch] = useState("");
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [way, setWay] = useState<SketchWay>("cloth");
  const [size, setSize] = useState(USUAL_SIZE);
  const found = useSketches(search);
  const all = useSketches("").data ?? [];
  const chosen = all.find((sketch) => sketch.id === chosenId) ?? found.data?.[0];
  const fit = useSketchFit(chosen?.id, way, size).data;

  const add = async () => {
    if (chosen && (await edits.add({ edit: "addSketch", sketchId: chosen.id, way, size }))) onClose();
  };

  const remove = async (gone: Sketch) => {
    try {
      await answered(api.DELETE("/api/sketches/{sketchId}", { params: { path: { sketchId: gone.id } } }));
      setChosenId(null);
      await queries.invalidateQueries({ queryKey: ["sketches"] });
      say(`${gone.name} is off the shelf; where it was set it stays.`);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };

  return (
    <FormPanel
      title="Small drawings"
      size="large"
      action="Put on the wall"
      disabled={!chosen || !fit?.isFit}
      onSent={add}
      onClose={onClose}
    >
      <SketchRows />
      <div className="grid min-h-0 flex-1 grid-cols-[1fr_290px] gap-5">
        <div className="flex min-h-0 flex-col gap-2">
          <PlainField
            label="Search"
            value={search}
            placeholder="bird, winter, tool …"
            onChange={(text) => {
              setSearch(text);
              setChosenId(null);
            }}
          />
          <ul
            aria-label="Drawings"
            className="grid min-h-0 flex-1 auto-rows-min grid-cols-5 gap-1.5 overflow-y-auto rounded-card border border-line bg-chalk p-2"
          >
            {found.data?.map((sketch) => (
              <li key={sketch.id}>
                <button
                  type="button"
                  aria-pressed={sketch.id === chosen?.id}
                  onClick={() => setChosenId(sketch.id)}
                  className="flex h-full w-full flex-col items-center rounded-card border border-transparent bg-white p-1.5 hover:border-line aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
                >
                  <SketchPicture sketch={sketch} way={way} className="h-[78px] w-[78px]" />
                  <span className="line-clamp-2 w-full text-center text-[13px] leading-tight break-words">
                    {sketch.name}
                  </span>
                  {sketch.isOwn ? <span className="text-[12px] text-muted">your own</span> : null}
                </button>
              </li>
            ))}
            {found.data?.length === 0 ? (
              <li className="col-span-5 p-4 text-muted">No drawing answers to that word.</li>
            ) : null}
          </ul>
        </div>
        <div className="flex min-h-0 flex-col gap-3 overflow-y-auto pr-1">
          {chosen ? (
            <>
              <h3 className="font-head text-[17px] font-semibold break-words">{chosen.name}</h3>
              <div className="rounded-card border border-line bg-chalk p-3">
                <SketchPicture sketch={chosen} way={way} className="mx-auto h-[200px] w-[200px]" />
              </div>
              <Segments label="Set" value={way} options={WAYS} onChosen={setWay} />
              <LengthField label="Larger side" value={size} unit={scene.unit} onTyped={setSize} />
              <p aria-live="polite" className={fit && !fit.isFit ? "text-madder" : "text-[14px] text-muted"}>
                {fit?.said}
              </p>
              <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-[13px] text-muted">
                {chosen.smallest.map((least) => (
                  <div key={least.way} className="contents">
                    <dt>Smallest {WAYS.find((known) => known.value === least.way)?.label.toLowerCase()}</dt>
                    <dd className="text-right">
                      {shown(least.size, scene.unit)} {scene.unit === "inch" ? "in" : "mm"}
                    </dd>
                  </div>
                ))}
              </dl>
              {chosen.isOwn ? (
                <Button look="trouble" onClick={() => void remove(chosen)}>
                  <Trash2 size={16} aria-hidden />
                  Take it off the shelf
                </Button>
              ) : null}
            </>
          ) : null}
        </div>
      </div>
    </FormPanel>
  );
}
