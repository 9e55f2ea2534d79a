import { Outlet, useNavigate, useParams } from "react-router";
import { useEffect } from "react";
import { useScene } from "../api/queries";
import { Button } from "../parts/Button";
import { useUnits } from "../state/units";
import { useView } from "../state/view";
import { FindingsList } from "./FindingsList";
import { Header } from "./Header";
import { HistoryPanel } from "./HistoryPanel";
import { ProjectFindingOut } from "./FindingOut";
import { AskedVariant } from "./VariantPanel";
import { useHistoryKeys } from "./useHistoryKeys";

/** The frame round a project's rooms: header above, the room below. */
export function ProjectFrame() {
  const { id = "" } = useParams();
  const scene = useScene(id);
  const navigate = useNavigate();
  const title = scene.data?.title;
  useHistoryKeys(id, scene.data);
  const busy = useView((view) => view.pending > 0);

  const unit = scene.data?.unit;
  useEffect(() => {
    if (unit) useUnits.getState().show(unit);
  }, [unit]);

  useEffect(() => {
    document.title = title ? `${title} · Ullet` : "Ullet";
  }, [title]);

  useEffect(() => {
    useView.getState().select([]);
    useView.getState().setPreview(null);
  }, [id]);

  if (scene.isPending) return <p className="p-8 text-muted">Opening the project…</p>;
  if (scene.isError)
    return (
      <main className="p-8">
        <h1 className="font-head text-2xl font-semibold">This project can’t be opened</h1>
        <p className="my-3 max-w-prose">{scene.error.message}</p>
        <Button onClick={() => void navigate("/")}>Go to the shelf</Button>
      </main>
    );
  return (
    <div className="flex h-full min-w-0 flex-col" data-state={busy ? "busy" : "idle"}>
      <Header projectId={id} scene={scene.data} />
      <Outlet />
      <FindingsList projectId={id} scene={scene.data} />
      <HistoryPanel projectId={id} scene={scene.data} />
      <AskedVariant projectId={id} unit={scene.data.unit} />
      <ProjectFindingOut />
    </div>
  );
}
