import { Download, FileWarning, Trash2, Undo2 } from "lucide-react";
import type { ShelfItem } from "../../api/client";
import { Button, buttonClass } from "../../parts/Button";
import { IconButton } from "../../parts/IconButton";

interface Props {
  item: ShelfItem & { damage: NonNullable<ShelfItem["damage"]> };
  onRecover: () => void;
  onRemove: () => void;
}

/** A project that can't be opened: what is wrong, its last readable state, its file, the bin. */
export function DamagedCard({ item, onRecover, onRemove }: Props) {
  const { damage } = item;
  return (
    <li
      data-damaged
      className="flex flex-col overflow-hidden rounded-card border border-madder bg-white"
      aria-label={`${item.title}, damaged`}
    >
      <div className="flex h-[236px] flex-col gap-3 overflow-y-auto bg-madder-pale p-4">
        <FileWarning size={26} aria-hidden className="shrink-0 text-madder" />
        <p>{damage.words}</p>
        <p className="text-[14px] text-muted">
          {damage.lastReadable == null
            ? "No earlier state of it can be read either. Keep its file, and ask for help with it."
            : `Its last readable state is of ${when(damage.lastReadable)}. The damaged one stays in its history.`}
        </p>
      </div>
      <span className="block px-4 pt-3 font-head text-[17px] font-semibold">{item.title}</span>
      <div className="mt-1 flex items-center gap-1 pr-2 pb-2 pl-4">
        {damage.lastReadable == null ? null : (
          <Button look="main" className="mr-auto" onClick={onRecover}>
            <Undo2 size={16} aria-hidden />
            Go back to it
          </Button>
        )}
        <a
          href={`/api/projects/${item.id}/stored`}
          download
          aria-label={`Its file: ${item.title}`}
          className={`${buttonClass()} ${damage.lastReadable == null ? "mr-auto" : ""}`}
        >
          <Download size={16} aria-hidden />
          Its file
        </a>
        <IconButton label={`Delete ${item.title}`} onClick={onRemove}>
          <Trash2 size={17} aria-hidden />
        </IconButton>
      </div>
    </li>
  );
}

function when(ms: number) {
  return new Date(ms).toLocaleString("en-GB", {
    day: "numeric",
    month: "long",
    year: "numeric",
    hour: "2-digit",
    minute: "2-digit",
  });
}
