import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { fetchFile, sendFile, type Rehearsal } from "../../api/client";
import { useScene } from "../../api/queries";
import { RehearsalStage } from "./RehearsalStage";

/** The rehearsal: the stand-in machine runs the file as it would be downloaded. */
export function RehearsalRoom() {
  const { id = "" } = useParams();
  const scene = useScene(id).data;
  const rehearsal = useQuery({
    queryKey: ["rehearsal", id, scene?.head],
    enabled: scene !== undefined,
    queryFn: async ({ signal }) => {
      const file = await fetchFile(`/api/projects/${id}/program.ulst`, signal);
      return sendFile<Rehearsal>("/api/devices/machine/rehearse", file, "text/plain");
    },
  });
  return (
    <main className="flex min-h-0 flex-1 flex-col" data-state={rehearsal.isSuccess ? "idle" : "busy"}>
      <h1 className="sr-only">Rehearsal</h1>
      {rehearsal.isError ? <p className="p-8 text-madder">{rehearsal.error.message}</p> : null}
      {rehearsal.isPending ? <p className="p-8 text-muted">The machine reads the stitch file…</p> : null}
      {rehearsal.data ? <RehearsalStage key={scene?.head} projectId={id} rehearsal={rehearsal.data} /> : null}
    </main>
  );
}
