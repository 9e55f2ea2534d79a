import { FolderOpen, Layers3, Plus, Trash2 } from "lucide-react";
import { useEffect, useState } from "react";
import { useNavigate, useSearchParams } from "react-router";
import { useQueryClient } from "@tanstack/react-query";
import { answered, api, importFile, Refused, type ShelfItem } from "../../api/client";
import { keys, useShelf, useShelfLabels } from "../../api/queries";
import { HouseHeader } from "../../frame/HouseHeader";
import { VariantPanel } from "../../frame/VariantPanel";
import { Button } from "../../parts/Button";
import { Choice } from "../../parts/fields/Choice";
import { FileChooser } from "../../parts/fields/FileChooser";
import { PlainField } from "../../parts/fields/PlainField";
import { useMore } from "../../parts/useMore";
import { say } from "../../state/messages";
import { useWhenAsked } from "../../verbs/asks";
import { BinPanel } from "./BinPanel";
import { ChosenBar } from "./ChosenBar";
import { EmptyShelf } from "./EmptyShelf";
import { LabelRow } from "./LabelRow";
import { NewProjectPanel } from "./NewProjectPanel";
import { PatternPanel } from "./PatternPanel";
import { ProjectCard } from "./ProjectCard";
import { RoomLine } from "./RoomLine";
import { RoomPanel } from "./RoomPanel";
import { TagsPanel } from "./TagsPanel";
import { useChosen } from "./useChosen";

type Asked = "new" | "pattern" | "room" | "bin" | { tags: ShelfItem[] } | { variantOf: string } | null;

const SORTS = [
  { value: "changed", label: "changed last" },
  { value: "name", label: "by name" },
  { value: "begun", label: "begun last" },
];

/** So many cards at a time: their pictures come as they scroll into sight. */
const CARDS_AT_ONCE = 24;

/** All projects as pictures: searched, narrowed by tag and set, sorted, several chosen at once. */
export function Shelf() {
  const [asked, setAsked] = useState<Asked>(null);
  const [query, setQuery] = useSearchParams();
  // What is typed is the field's own: the address follows it.
  const [search, setSearch] = useState(query.get("search") ?? "");
  const wish = {
    search,
    tag: query.get("tag") ?? "",
    set: query.get("set") ?? "",
    sort: query.get("sort") ?? "changed",
  };
  const shelf = useShelf(wish);
  const labels = useShelfLabels().data;
  const items = shelf.data ?? [];
  const chosen = useChosen(items);
  const [cards, sentinel] = useMore(items, CARDS_AT_ONCE);
  const narrowed = wish.search !== "" || wish.tag !== "" || wish.set !== "";
  const close = () => setAsked(null);
  const ask = (part: Partial<typeof wish>) => {
    if (part.search !== undefined) setSearch(part.search);
    setQuery(
      Object.fromEntries(
        Object.entries({ ...wish, ...part }).filter(
          ([key, value]) => value && !(key === "sort" && value === "changed"),
        ),
      ),
      { replace: true },
    );
  };

  useEffect(() => {
    document.title = "Shelf · Ullet";
  }, []);
  useWhenAsked("newProject", () => setAsked("new"));
  useWhenAsked("pattern", () => setAsked("pattern"));
  useWhenAsked("room", () => setAsked("room"));
  useWhenAsked("bin", () => setAsked("bin"));

  return (
    <div className="min-h-full" data-state={shelf.isFetching ? "busy" : "idle"}>
      <HouseHeader />
      <main className="mx-auto max-w-[1180px] px-6 py-5 max-md:px-4">
        <div className="mb-3 flex flex-wrap items-end gap-3">
          <h1 className="font-head text-[26px] font-semibold">Shelf</h1>
          <p className="mr-auto pb-1 text-muted">
            {labels ? countText(items.length, labels.count, narrowed) : null}
          </p>
          <Button look="quiet" onClick={() => setAsked("bin")}>
            <Trash2 size={16} aria-hidden />
            Bin{labels?.binned ? ` (${labels.binned})` : ""}
          </Button>
          <OpenButton />
          <Button onClick={() => setAsked("pattern")}>
            <Layers3 size={17} aria-hidden />
            From a pattern
          </Button>
          <Button look="main" onClick={() => setAsked("new")}>
            <Plus size={17} aria-hidden />
            New project
          </Button>
        </div>
        {labels && labels.count + labels.binned > 0 ? (
          <div className="mb-4 space-y-2.5">
            <div className="flex flex-wrap items-end gap-3">
              <PlainField
                label="Search the shelf"
                className="w-[300px] max-md:w-full"
                value={wish.search}
                placeholder="a name, a tag, a word on the wall …"
                onChange={(search) => ask({ search })}
              />
              <Choice
                label="Sorted"
                className="w-[150px]"
                value={wish.sort}
                options={SORTS}
                onChosen={(sort) => ask({ sort })}
              />
              <LabelRow
                labels={labels}
                tag={wish.tag}
                set={wish.set}
                onTag={(tag) => ask({ tag })}
                onSet={(set) => ask({ set })}
              />
            </div>
            <ChosenBar chosen={chosen} labels={labels} onTags={(tags) => setAsked({ tags })} />
          </div>
        ) : null}
        {shelf.isPending ? <p className="text-muted">Looking along the shelf…</p> : null}
        {shelf.isError ? <p className="text-madder">{shelf.error.message}</p> : null}
        {shelf.data?.length === 0 && !narrowed ? (
          <EmptyShelf onNew={() => setAsked("new")} onPattern={() => setAsked("pattern")} />
        ) : null}
        {shelf.data?.length === 0 && narrowed ? (
          <p className="rounded-card border border-dashed border-field bg-white px-8 py-12 text-center text-[17px]">
            No project answers to that.{" "}
            <button
              type="button"
              className="text-indigo underline"
              onClick={() => ask({ search: "", tag: "", set: "" })}
            >
              Show all {labels?.count}
            </button>
          </p>
        ) : null}
        <ul aria-label="Projects" className="grid grid-cols-[repeat(auto-fill,minmax(255px,1fr))] gap-5">
          {cards.map((item) => (
            <ProjectCard
              key={item.id}
              item={item}
              isChosen={chosen.has(item.id)}
              isChoosing={chosen.items.length > 0}
              onChosen={(span) => chosen.press(item.id, span)}
              onTags={() => setAsked({ tags: [item] })}
              onVariant={() => setAsked({ variantOf: item.id })}
              onTag={(tag) => ask({ tag })}
              onSet={(set) => ask({ set })}
            />
          ))}
        </ul>
        {sentinel}
        <RoomLine onOpen={() => setAsked("room")} />
      </main>
      {asked === "room" ? <RoomPanel onClose={close} /> : null}
      {asked === "pattern" ? <PatternPanel onClose={close} /> : null}
      {asked === "new" ? <NewProjectPanel onClose={close} /> : null}
      {asked === "bin" ? <BinPanel onClose={close} /> : null}
      {asked !== null && typeof asked === "object" && "tags" in asked ? (
        <TagsPanel items={asked.tags} known={labels?.tags ?? []} onClose={close} />
      ) : null}
      {asked !== null && typeof asked === "object" && "variantOf" in asked ? (
        <VariantPanel projectId={asked.variantOf} unit="millimetre" onClose={close} />
      ) : null}
    </div>
  );
}

function countText(shown: number, all: number, narrowed: boolean): string {
  const projects = all === 1 ? "1 project" : `${all} projects`;
  return narrowed ? `${shown} of ${projects}` : projects;
}

/** Opens a project file. */
function OpenButton() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const open = async (file: File) => {
    try {
      const preview = await importFile(file);
      if (preview.kind !== "project")
        throw new Refused(
          `"${file.name}" is no project file; open it on the wall of a project.`,
          "import-foreign",
        );
      const made = await answered(api.POST("/api/projects", { body: { importToken: preview.token } }));
      await queries.invalidateQueries({ queryKey: keys.shelf });
      void navigate(`/p/${made.id}/wall`);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That file can’t be opened.", "trouble");
    }
  };
  return (
    <FileChooser label="Project file" accept=".ullet" onChosen={open}>
      {(choose) => <Opener choose={choose} />}
    </FileChooser>
  );
}

function Opener({ choose }: { choose: () => void }) {
  useWhenAsked("openFile", choose);
  return (
    <Button onClick={choose}>
      <FolderOpen size={17} aria-hidden />
      Open a file
    </Button>
  );
}
