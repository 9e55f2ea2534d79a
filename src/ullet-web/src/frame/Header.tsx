import { BookOpen, History, PackageCheck, Redo2, Search, Undo2 } from "lucide-react";
import { Link, NavLink } from "react-router";
import { useEdits } from "../api/edits";
import type { Scene } from "../api/client";
import { buttonClass } from "../parts/Button";
import { Eyelet } from "../parts/Eyelet";
import { IconButton } from "../parts/IconButton";
import { TextField } from "../parts/fields/TextField";
import { FindingsButton } from "./FindingsButton";
import { HoopChoice } from "./HoopChoice";
import { SavedAgo } from "./SavedAgo";
import { ask, openHelp } from "../verbs/asks";

interface Props {
  projectId: string;
  scene: Scene;
}

const ROOMS = [
  ["wall", "Wall"],
  ["run-sheet", "Run sheet"],
  ["cutting", "Cutting table"],
  ["rehearsal", "Rehearsal"],
  ["orders", "Order book"],
  ["packet", "Packet"],
] as const;

/** Title, rooms, undo, units, hoop, findings, packet. */
export function Header({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const inch = scene.unit === "inch";
  return (
    <header className="flex h-[52px] shrink-0 items-center gap-1.5 border-b border-line bg-white px-3 max-xl:h-auto max-xl:flex-wrap max-xl:gap-y-0 max-xl:py-1">
      <Link to="/" aria-label="Shelf, all projects" className="rounded-card p-1">
        <Eyelet />
      </Link>
      <div className="w-[196px] min-w-0 max-xl:w-auto max-xl:flex-1">
        <TextField
          label="Project title"
          labelHidden
          value={scene.title}
          quiet
          className="h-6! truncate px-1! font-head text-[16px] font-semibold"
          onTyped={(title) => edits.edit({ edit: "renameProject", title })}
        />
        <SavedAgo savedAt={scene.savedAt} />
      </div>
      <nav
        aria-label="Rooms"
        className="mx-auto flex gap-0.5 max-xl:order-last max-xl:basis-full max-xl:justify-center max-md:justify-start max-md:overflow-x-auto max-md:[scrollbar-width:none]"
      >
        {ROOMS.map(([path, name]) => (
          <NavLink
            key={path}
            to={`/p/${projectId}/${path}`}
            className="rounded-card border-b-2 border-transparent px-1.5 py-1.5 font-medium whitespace-nowrap text-muted hover:text-ink aria-[current=page]:rounded-b-none aria-[current=page]:border-indigo aria-[current=page]:text-indigo"
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <IconButton
        label={scene.undoLabel ? `Undo: ${scene.undoLabel}` : "Nothing to undo"}
        keys="Ctrl+Z"
        disabled={!scene.undoLabel}
        onClick={() => edits.undo()}
      >
        <Undo2 size={18} aria-hidden />
      </IconButton>
      <IconButton
        label={scene.redoLabel ? `Redo: ${scene.redoLabel}` : "Nothing to redo"}
        keys="Ctrl+Y"
        disabled={!scene.redoLabel}
        onClick={() => edits.redo()}
      >
        <Redo2 size={18} aria-hidden />
      </IconButton>
      <IconButton label="History" onClick={() => ask("history")}>
        <History size={18} aria-hidden />
      </IconButton>
      <IconButton label="Search for what to do" keys="/" onClick={() => ask("search")}>
        <Search size={18} aria-hidden />
      </IconButton>
      <IconButton label="Help" keys="F1" onClick={() => openHelp("start")}>
        <BookOpen size={18} aria-hidden />
      </IconButton>
      <button
        type="button"
        aria-label={inch ? "in, show millimetres instead" : "mm, show inches instead"}
        className="h-8 w-10 shrink-0 rounded-card border border-line text-[14px] font-semibold hover:bg-chalk"
        onClick={() => edits.edit({ edit: "setUnit", unit: inch ? "millimetre" : "inch" })}
      >
        {inch ? "in" : "mm"}
      </button>
      <HoopChoice projectId={projectId} scene={scene} />
      <FindingsButton scene={scene} />
      {scene.findings.some((finding) => finding.level === "stop") ? (
        <Link to={`/p/${projectId}/packet`} className={buttonClass("main")}>
          <PackageCheck size={17} aria-hidden />
          Make packet
        </Link>
      ) : (
        <a href={`/api/projects/${projectId}/packet.zip`} download className={buttonClass("main")}>
          <PackageCheck size={17} aria-hidden />
          Make packet
        </a>
      )}
    </header>
  );
}
