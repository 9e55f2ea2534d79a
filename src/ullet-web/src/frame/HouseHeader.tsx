import { BookOpen, Keyboard, LayoutGrid, Search, Shirt } from "lucide-react";
import { NavLink } from "react-router";
import { Eyelet } from "../parts/Eyelet";
import { IconButton } from "../parts/IconButton";
import { ask } from "../verbs/asks";
import { HouseFindingOut } from "./FindingOut";

const ROOMS = [
  ["/", "Shelf", LayoutGrid],
  ["/stash", "Stash", Shirt],
  ["/help", "Help", BookOpen],
] as const;

/** The header where no project is open: shelf, stash and help, and the search box. */
export function HouseHeader() {
  return (
    <header className="flex h-[52px] shrink-0 items-center gap-3 border-b border-line bg-white px-6 max-md:px-3">
      <Eyelet />
      <span className="font-head text-[19px] font-semibold">Ullet</span>
      <nav aria-label="Rooms" className="ml-4 flex gap-1 max-md:ml-0">
        {ROOMS.map(([path, name, Icon]) => (
          <NavLink
            key={path}
            to={path}
            end={path === "/"}
            className="inline-flex items-center gap-1.5 rounded-card border-b-2 border-transparent px-2.5 py-1.5 font-medium text-muted hover:text-ink aria-[current=page]:rounded-b-none aria-[current=page]:border-indigo aria-[current=page]:text-indigo"
          >
            <Icon size={16} aria-hidden />
            {name}
          </NavLink>
        ))}
      </nav>
      <button
        type="button"
        className="ml-auto inline-flex h-8 w-[230px] items-center gap-2 rounded-card border border-field bg-white px-2.5 text-left text-[14px] text-muted hover:bg-chalk max-md:w-auto"
        onClick={() => ask("search")}
      >
        <Search size={16} aria-hidden />
        <span className="max-md:sr-only">What do you want to do?</span>
        <kbd className="ml-auto rounded border border-line px-1.5 font-sans text-[12px] max-md:hidden">/</kbd>
      </button>
      <IconButton label="Keys" keys="?" onClick={() => ask("keys")}>
        <Keyboard size={18} aria-hidden />
      </IconButton>
      <HouseFindingOut />
    </header>
  );
}
