import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Trash2 } from "lucide-react";
import { useState } from "react";
import { answered, api, Refused, type Scene, type Schemas } from "../../../api/client";
import { useEdits } from "../../../api/edits";
import { Button } from "../../../parts/Button";
import { Choice } from "../../../parts/fields/Choice";
import { PlainField } from "../../../parts/fields/PlainField";
import { Tick } from "../../../parts/fields/Tick";
import { FormPanel } from "../../../parts/FormPanel";
import { sizeText } from "../../../state/lengths";
import { say } from "../../../state/messages";
import { useView } from "../../../state/view";
import { PartPicture } from "./PartPicture";

type Part = Schemas["PartDto"];

interface Props {
  projectId: string;
  scene: Scene;
  onClose: () => void;
}

/** The shelf of parts: one is chosen by its picture, and dropped into the project or put in the place of what is selected. */
export function PartsPanel({ projectId, scene, onClose }: Props) {
  const edits = useEdits(projectId);
  const queries = useQueryClient();
  const selection = useView((view) => view.selection);
  const [search, setSearch] = useState("");
  const [chosenId, setChosenId] = useState<string | null>(null);
  const [liesOn, setLiesOn] = useState("");
  const [takesNear, setTakesNear] = useState(true);
  const [replaces, setReplaces] = useState(false);
  const found = useQuery({
    queryKey: ["parts", search],
    queryFn: () => answered(api.GET("/api/parts", { params: { query: { search } } })),
  });
  const parts = found.data ?? [];
  const chosen = parts.find((part) => part.id === chosenId) ?? parts[0];

  const drop = async () => {
    if (
      chosen &&
      (await edits.add({
        edit: "dropPart",
        partId: chosen.id,
        liesOn: liesOn || null,
        takesNearThreads: takesNear,
        replaces: replaces ? selection : [],
      }))
    )
      onClose();
  };

  const remove = async (gone: Part) => {
    try {
      await answered(api.DELETE("/api/parts/{partId}", { params: { path: { partId: gone.id } } }));
      setChosenId(null);
      await queries.invalidateQueries({ queryKey: ["parts"] });
      say(`${gone.name} is off the shelf; where it was dropped it stays.`);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    }
  };

  return (
    <FormPanel
      title="Shelf of parts"
      size="large"
      action={replaces ? "Put it in their place" : "Drop it here"}
      disabled={!chosen}
      onSent={drop}
      onClose={onClose}
    >
      <div className="grid min-h-0 flex-1 grid-cols-[1fr_300px] gap-5">
        <div className="flex min-h-0 flex-col gap-2">
          <PlainField
            label="Search"
            value={search}
            placeholder="zip, corner, leaf …"
            onChange={(text) => {
              setSearch(text);
              setChosenId(null);
            }}
          />
          <ul
            aria-label="Parts"
            className="grid min-h-0 flex-1 auto-rows-min grid-cols-4 gap-1.5 overflow-y-auto rounded-card border border-line bg-chalk p-2"
          >
            {parts.map((part) => (
              <li key={part.id}>
                <button
                  type="button"
                  aria-pressed={part.id === chosen?.id}
                  onClick={() => setChosenId(part.id)}
                  className="flex h-full w-full flex-col items-center rounded-card border border-transparent bg-white p-1.5 hover:border-line aria-pressed:border-indigo aria-pressed:bg-indigo-pale"
                >
                  <PartPicture part={part} className="h-[92px] w-full" />
                  <span className="line-clamp-2 w-full text-center text-[13px] leading-tight break-words">
                    {part.name}
                  </span>
                  <span className="text-[12px] text-muted">
                    {sizeText(part.width, part.height, scene.unit)}
                  </span>
                </button>
              </li>
            ))}
            {found.data?.length === 0 ? (
              <li className="col-span-4 p-4 text-muted">
                {search
                  ? "No part answers to that word."
                  : "No part is kept yet. Select what you want again elsewhere, a zip, a corner, a leaf spray, and press “Keep as a part” on its card."}
              </li>
            ) : null}
          </ul>
        </div>
        <div className="flex min-h-0 flex-col gap-3 overflow-y-auto pr-1">
          {chosen ? (
            <>
              <h3 className="font-head text-[17px] font-semibold break-words">{chosen.name}</h3>
              <div className="rounded-card border border-line bg-chalk p-3">
                <PartPicture part={chosen} className="h-[170px] w-full" />
              </div>
              <p className="text-[14px] text-muted">
                {sizeText(chosen.width, chosen.height, scene.unit)}, {chosen.elements}{" "}
                {chosen.elements === 1 ? "element" : "elements"}
                {chosen.liesOn ? `; it lay on ${chosen.liesOn}` : ""}
                {chosen.tags.length ? ` · ${chosen.tags.join(", ")}` : ""}
              </p>
              {chosen.hands.length ? (
                <ol
                  aria-label="What hands do with it"
                  className="list-inside list-decimal space-y-1 text-[13px]"
                >
                  {chosen.hands.map((words, i) => (
                    <li key={i}>{words}</li>
                  ))}
                </ol>
              ) : null}
              <Choice
                label="It lies on"
                value={liesOn}
                options={[
                  { value: "", label: "everything that is there" },
                  ...scene.elements.map((element) => ({ value: element.id, label: element.name })),
                ]}
                onChosen={setLiesOn}
              />
              <Tick
                label="Sew it with the project’s threads where one is near"
                checked={takesNear}
                onChanged={setTakesNear}
              />
              {selection.length ? (
                <Tick
                  label="In the place of what is selected: same spot, size and step"
                  checked={replaces}
                  onChanged={setReplaces}
                />
              ) : null}
              <Button look="trouble" onClick={() => void remove(chosen)}>
                <Trash2 size={16} aria-hidden />
                Take it off the shelf
              </Button>
            </>
          ) : null}
        </div>
      </div>
    </FormPanel>
  );
}
