import { useQueryClient } from "@tanstack/react-query";
import { Copy, Trash2 } from "lucide-react";
import { Link } from "react-router";
import { answered, api, Refused, type ShelfItem } from "../../api/client";
import { keys } from "../../api/queries";
import { IconButton } from "../../parts/IconButton";
import { say } from "../../state/messages";
import { DamagedCard } from "./DamagedCard";

/** One project: its picture, name and hoop. */
export function ProjectCard({ item }: { item: ShelfItem }) {
  const queries = useQueryClient();
  const path = { params: { path: { id: item.id } } };

  const change = async (call: () => Promise<unknown>, done?: () => void) => {
    try {
      await call();
      done?.();
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    } finally {
      await queries.invalidateQueries({ queryKey: keys.shelf });
    }
  };

  const restore = () => void change(() => answered(api.POST("/api/projects/{id}/restore", path)));
  const remove = () =>
    void change(
      () => answered(api.DELETE("/api/projects/{id}", path)),
      () => say(`${item.title} lies in the bin for 30 days.`, "note", { label: "Put it back", run: restore }),
    );

  if (item.damage)
    return (
      <DamagedCard
        item={{ ...item, damage: item.damage }}
        onRemove={remove}
        onRecover={() =>
          void change(
            () => answered(api.POST("/api/projects/{id}/recover", path)),
            () => say(`${item.title} is back in its last readable state.`),
          )
        }
      />
    );
  return (
    <li className="group overflow-hidden rounded-card border border-line bg-white focus-within:border-indigo hover:border-field">
      <Link to={`/p/${item.id}/wall`} className="block">
        <span className="flex h-[236px] items-center justify-center overflow-hidden bg-[#dfe4e9] p-4">
          <img
            src={`/api/projects/${item.id}/picture.png?size=480&rev=${item.head}`}
            alt=""
            className="max-h-full max-w-full rounded-[10px] shadow"
          />
        </span>
        <span className="block px-4 pt-3 font-head text-[17px] font-semibold">{item.title}</span>
      </Link>
      <div className="flex items-center pr-2 pb-2 pl-4 text-[14px] text-muted">
        <span className="mr-auto">
          {item.hoop} mm ·{" "}
          {item.pieces === 0
            ? "nothing in it yet"
            : item.pieces === 1
              ? "1 element"
              : `${item.pieces} elements`}
        </span>
        <IconButton
          label={`Copy ${item.title}`}
          onClick={() => void change(() => answered(api.POST("/api/projects/{id}/copy", path)))}
        >
          <Copy size={17} aria-hidden />
        </IconButton>
        <IconButton label={`Delete ${item.title}`} onClick={remove}>
          <Trash2 size={17} aria-hidden />
        </IconButton>
      </div>
    </li>
  );
}
