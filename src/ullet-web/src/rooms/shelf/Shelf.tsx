import { useQueryClient } from "@tanstack/react-query";
import { FolderOpen, Layers3, Plus } from "lucide-react";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { answered, api, importFile, Refused } from "../../api/client";
import { keys, useShelf } from "../../api/queries";
import { Button } from "../../parts/Button";
import { FileChooser } from "../../parts/fields/FileChooser";
import { Eyelet } from "../../parts/Eyelet";
import { say } from "../../state/messages";
import { NewProjectPanel } from "./NewProjectPanel";
import { PatternPanel } from "./PatternPanel";
import { ProjectCard } from "./ProjectCard";
import { RoomLine } from "./RoomLine";
import { RoomPanel } from "./RoomPanel";

/** All projects as pictures. */
export function Shelf() {
  const shelf = useShelf();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const [clearing, setClearing] = useState(false);

  useEffect(() => {
    document.title = "Shelf · Ullet";
  }, []);

  const open = async (file: File) => {
    try {
      const preview = await importFile(file);
      const made = await answered(api.POST("/api/projects", { body: { importToken: preview.token } }));
      await queries.invalidateQueries({ queryKey: keys.shelf });
      void navigate(`/p/${made.id}/wall`);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That file can’t be opened.", "trouble");
    }
  };

  return (
    <div className="min-h-full" data-state={shelf.isPending ? "busy" : "idle"}>
      <header className="flex h-[52px] items-center gap-3 border-b border-line bg-white px-6">
        <Eyelet />
        <span className="font-head text-[19px] font-semibold">Ullet</span>
      </header>
      <main className="mx-auto max-w-[1180px] px-6 py-7 max-md:px-4">
        <div className="mb-5 flex flex-wrap items-center gap-3">
          <h1 className="mr-auto font-head text-[26px] font-semibold">Shelf</h1>
          <FileChooser label="Project file" accept=".ullet" onChosen={open}>
            {(choose) => (
              <Button onClick={choose}>
                <FolderOpen size={17} aria-hidden />
                Open a file
              </Button>
            )}
          </FileChooser>
          <Button onClick={() => setChoosing(true)}>
            <Layers3 size={17} aria-hidden />
            From a pattern
          </Button>
          <Button look="main" onClick={() => setAsking(true)}>
            <Plus size={17} aria-hidden />
            New project
          </Button>
        </div>
        {shelf.isPending ? <p className="text-muted">Looking along the shelf…</p> : null}
        {shelf.isError ? <p className="text-madder">{shelf.error.message}</p> : null}
        {shelf.data?.length === 0 ? (
          <div className="rounded-card border border-dashed border-field bg-white px-8 py-16 text-center">
            <p className="mx-auto mb-4 max-w-md text-[17px]">
              The shelf is empty. Start with a hoop, lay a shape in it, and Ullet works out the stitches and
              the cut shapes; or choose a pattern that is sewn whole inside the hoop.
            </p>
            <div className="flex justify-center gap-2">
              <Button onClick={() => setChoosing(true)}>
                <Layers3 size={17} aria-hidden />
                From a pattern
              </Button>
              <Button look="main" onClick={() => setAsking(true)}>
                <Plus size={17} aria-hidden />
                New project
              </Button>
            </div>
          </div>
        ) : null}
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(255px,1fr))] gap-5">
          {shelf.data?.map((item) => (
            <ProjectCard key={item.id} item={item} />
          ))}
        </ul>
        <RoomLine onOpen={() => setClearing(true)} />
      </main>
      {clearing ? <RoomPanel onClose={() => setClearing(false)} /> : null}
      {choosing ? <PatternPanel onClose={() => setChoosing(false)} /> : null}
      {asking ? <NewProjectPanel onClose={() => setAsking(false)} /> : null}
    </div>
  );
}
