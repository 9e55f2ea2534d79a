import { useParams } from "react-router";
import { useScene } from "../../api/queries";
import { useView } from "../../state/view";
import { ElementCard } from "./card/ElementCard";
import { MapLegend } from "./rail/MapLegend";
import { MeasureCard } from "./rail/MeasureCard";
import { ProjectCard } from "./card/ProjectCard";
import { Rail } from "./rail/Rail";
import { RemovePanel } from "./card/RemovePanel";
import { RunStrip } from "./RunStrip";
import { SelectionCard } from "./card/SelectionCard";
import { Stack } from "./stack/Stack";
import { EmptyWall } from "./view/EmptyWall";
import { WallCanvas } from "./view/WallCanvas";
import { WallMenu } from "./hands/WallMenu";
import { LassoCard } from "./stitches/LassoCard";
import { DrawCard } from "./nodes/DrawCard";
import { useWallKeys } from "./hands/useWallKeys";

/** The wall: where pieces are arranged. */
export function WallRoom() {
  const { id = "" } = useParams();
  const saved = useScene(id).data;
  const { preview, selection, tool } = useView();
  const scene = preview ?? saved;
  useWallKeys(id, saved);
  if (!scene || !saved) return null;
  const chosen = scene.elements.filter((element) => selection.includes(element.id));
  const only = chosen.length === 1 ? chosen[0] : undefined;

  return (
    <main className="flex min-h-0 flex-1 flex-col">
      <h1 className="sr-only">Wall</h1>
      <div className="flex min-h-0 flex-1">
        <Rail projectId={id} scene={saved} />
        <Stack projectId={id} scene={saved} />
        <div className="relative flex min-w-0 flex-1">
          <WallMenu projectId={id} scene={saved}>
            <WallCanvas projectId={id} scene={scene} saved={saved} />
          </WallMenu>
          {scene.elements.length === 0 && tool === "select" ? <EmptyWall projectId={id} /> : null}
          <MapLegend projectId={id} head={saved.head} />
        </div>
        <aside
          aria-label="Card"
          className="relative w-[316px] shrink-0 max-lg:w-[272px] overflow-y-auto border-l border-line bg-white"
        >
          {tool === "measure" ? (
            <MeasureCard projectId={id} scene={scene} />
          ) : tool === "pen" || tool === "freehand" ? (
            <DrawCard />
          ) : tool === "lasso" ? (
            <LassoCard projectId={id} scene={scene} chosen={chosen} />
          ) : only ? (
            <ElementCard key={only.id} projectId={id} scene={scene} element={only} />
          ) : chosen.length > 1 ? (
            <SelectionCard projectId={id} scene={scene} chosen={chosen} />
          ) : (
            <ProjectCard projectId={id} scene={scene} />
          )}
        </aside>
      </div>
      <RemovePanel projectId={id} scene={saved} />
      <RunStrip projectId={id} scene={scene} />
    </main>
  );
}
