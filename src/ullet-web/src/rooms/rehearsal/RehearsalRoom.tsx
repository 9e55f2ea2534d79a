import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { useParams } from "react-router";
import { fetchFile, sendFile, type Rehearsal } from "../../api/client";
import { useScene } from "../../api/queries";
import { Choice } from "../../parts/fields/Choice";
import { RehearsalStage } from "./RehearsalStage";

/** The rehearsal: the stand-in machine runs the file as it would be downloaded. */
export function RehearsalRoom() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const [chosen, setChosen] = useState("");
  const hooping = scene?.guides.some((guide) => guide.id === chosen) ? chosen : "";
  const rehearsal = useQuery({
    queryKey: ["rehearsal", id, scene?.head, hooping, scene?.unit],
    enabled: scene !== undefined,
    queryFn: async ({ signal }) => {
      const file = await fetchFile(
        `/api/projects/${id}/program.ulst?despite=true&trial=true${hooping ? `&hooping=${hooping}` : ""}`,
        signal,
      );
      return sendFile<Rehearsal>(
        `/api/devices/machine/rehearse?unit=${scene?.unit ?? "millimetre"}`,
        file,
        "text/plain",
      );
    },
  });
  return (
    <main className="flex min-h-0 flex-1 flex-col" data-state={rehearsal.isSuccess ? "idle" : "busy"}>
      <h1 className="sr-only">Rehearsal</h1>
      {scene?.guides.length ? (
        <div className="flex items-center gap-3 border-b border-line bg-white px-4 py-1.5">
          <Choice
            label="Hooping"
            labelHidden
            className="w-[300px]"
            value={hooping}
            options={[
              { value: "", label: `${scene.hooping.name}, the project’s own` },
              ...scene.guides.map(({ id: guide, name }) => ({ value: guide, label: name })),
            ]}
            onChosen={setChosen}
          />
          <p className="text-[14px] text-muted">Cut guides are stitched first, each on its own cloth.</p>
        </div>
      ) : null}
      {rehearsal.isError ? <p className="p-8 text-madder">{rehearsal.error.message}</p> : null}
      {rehearsal.isPending ? <p className="p-8 text-muted">The machine reads the stitch file…</p> : null}
      {rehearsal.data?.cautions.map((caution) => (
        <p key={caution} className="border-b border-madder bg-madder-pale px-4 py-1.5 text-[14px]">
          {caution}
        </p>
      ))}
      {rehearsal.data ? (
        <RehearsalStage
          key={`${scene?.head} ${hooping}`}
          projectId={id}
          head={scene?.head ?? 0}
          hooping={hooping || undefined}
          rehearsal={rehearsal.data}
        />
      ) : null}
    </main>
  );
}
