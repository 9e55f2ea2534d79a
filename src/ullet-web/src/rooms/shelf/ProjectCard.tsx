import { Copy, Layers, MoreHorizontal, Trash2 } from "lucide-react";
import { DropdownMenu } from "radix-ui";
import { useState } from "react";
import { Link } from "react-router";
import { answered, api, type ShelfItem } from "../../api/client";
import { useEdits } from "../../api/edits";
import { DraftName } from "../../parts/fields/DraftName";
import { IconButton } from "../../parts/IconButton";
import { Tick } from "../../parts/fields/Tick";
import { say } from "../../state/messages";
import { whenText } from "../../state/when";
import { DamagedCard } from "./DamagedCard";
import { useShelfChange } from "./useShelfChange";

interface Props {
  item: ShelfItem;
  isChosen: boolean;
  /** True while any project is chosen: a press on a picture chooses then. */
  isChoosing: boolean;
  /** Called with true to choose all from the last one on. */
  onChosen: (span: boolean) => void;
  onTags: () => void;
  onVariant: () => void;
  onTag: (tag: string) => void;
  onSet: (setId: string) => void;
}

/** One project: its picture, name, hoop, tags and set. */
export function ProjectCard({
  item,
  isChosen,
  isChoosing,
  onChosen,
  onTags,
  onVariant,
  onTag,
  onSet,
}: Props) {
  const { run, binAll } = useShelfChange();
  const edits = useEdits(item.id);
  const [naming, setNaming] = useState(false);
  const path = { params: { path: { id: item.id } } };
  const remove = () => void binAll([item]);
  const rename = (title: string) => {
    setNaming(false);
    if (title && title !== item.title)
      void run(async () => {
        await edits.edit({ edit: "renameProject", title });
      });
  };

  if (item.damage)
    return (
      <DamagedCard
        item={{ ...item, damage: item.damage }}
        onRemove={remove}
        onRecover={() =>
          void run(() => answered(api.POST("/api/projects/{id}/recover", path))).then((ok) =>
            ok ? say(`${item.title} is back in its last readable state.`) : undefined,
          )
        }
      />
    );
  return (
    <li
      data-chosen={isChosen}
      className="group relative flex flex-col overflow-hidden rounded-card border border-line bg-white focus-within:border-indigo hover:border-field data-[chosen=true]:border-indigo data-[chosen=true]:ring-2 data-[chosen=true]:ring-indigo"
      onKeyDown={(event) => {
        if (event.key === "F2" && !naming) setNaming(true);
      }}
      onClickCapture={(event) => {
        const onPicture = (event.target as HTMLElement).closest("[data-picture]");
        if (!onPicture || !(event.shiftKey || isChoosing)) return;
        event.preventDefault();
        onChosen(event.shiftKey && isChoosing);
      }}
    >
      <Link to={`/p/${item.id}/wall`} aria-label={item.title} data-picture className="block">
        <span className="flex h-[206px] items-center justify-center overflow-hidden bg-[#dfe4e9] p-4">
          <img
            loading="lazy"
            src={`/api/projects/${item.id}/picture.png?size=480&rev=${item.head}`}
            alt=""
            className="max-h-full max-w-full rounded-[10px] shadow"
          />
        </span>
      </Link>
      <Tick
        label={<span className="sr-only">Choose {item.title}</span>}
        checked={isChosen}
        className="absolute top-2 left-2 rounded-[6px] bg-white/90 p-1 opacity-0 shadow-sm group-focus-within:opacity-100 group-hover:opacity-100 group-data-[chosen=true]:opacity-100 pointer-coarse:opacity-100"
        onChanged={() => onChosen(false)}
      />
      <div className="flex min-h-[38px] items-start px-4 pt-2.5">
        {naming ? (
          <DraftName
            label={`Name of ${item.title}`}
            value={item.title}
            className="font-head text-[17px] font-semibold"
            onNamed={rename}
            onLeft={() => setNaming(false)}
          />
        ) : (
          <span
            className="line-clamp-2 font-head text-[17px] leading-5.5 font-semibold"
            title="Double click, or F2, to rename"
            onDoubleClick={() => setNaming(true)}
          >
            {item.title}
          </span>
        )}
      </div>
      {item.hasNamesake ? (
        <p className="px-4 text-[13px] text-muted">
          one of several with this name; begun {whenText(item.createdAt)}
        </p>
      ) : null}
      <Labels item={item} onTag={onTag} onSet={onSet} />
      <div className="mt-auto flex items-center pr-2 pb-2 pl-4 text-[13px] text-muted">
        <span className="mr-auto min-w-0 truncate">
          {item.hoop} · {piecesText(item.pieces)}
        </span>
        <IconButton
          label={`Copy ${item.title}`}
          onClick={() => void run(() => answered(api.POST("/api/projects/{id}/copy", path)))}
        >
          <Copy size={17} aria-hidden />
        </IconButton>
        <IconButton label={`Delete ${item.title}`} onClick={remove}>
          <Trash2 size={17} aria-hidden />
        </IconButton>
        <More item={item} onName={() => setNaming(true)} onTags={onTags} onVariant={onVariant} />
      </div>
    </li>
  );
}

function piecesText(count: number): string {
  return count === 0 ? "empty" : count === 1 ? "1 element" : `${count} elements`;
}

function Labels({ item, onTag, onSet }: Pick<Props, "item" | "onTag" | "onSet">) {
  if (!item.set && item.tags.length === 0) return null;
  const { set } = item;
  return (
    <div className="flex flex-wrap gap-1 px-4 pt-1 pb-1.5">
      {set ? (
        <button
          type="button"
          className="inline-flex max-w-full items-center gap-1 rounded-full bg-verdigris-pale px-2 py-px text-[12px] text-verdigris hover:underline"
          onClick={() => onSet(set.id)}
        >
          <Layers size={12} aria-hidden className="shrink-0" />
          <span className="truncate">{set.name}</span>
        </button>
      ) : null}
      {item.tags.map((tag) => (
        <button
          key={tag}
          type="button"
          className="max-w-full truncate rounded-full bg-chalk px-2 py-px text-[12px] hover:underline"
          onClick={() => onTag(tag)}
        >
          {tag}
        </button>
      ))}
    </div>
  );
}

interface MoreProps {
  item: ShelfItem;
  onName: () => void;
  onTags: () => void;
  onVariant: () => void;
}

function More({ item, onName, onTags, onVariant }: MoreProps) {
  const { change } = useShelfChange();
  const rows = [
    { label: "Rename", run: onName },
    { label: "Tags…", run: onTags },
    { label: "A variant in another size…", run: onVariant },
    ...(item.set
      ? [
          {
            label: `Take it out of the set ${item.set.name}`,
            run: () => void change({ ids: [item.id], leaveSet: true }),
          },
        ]
      : []),
  ];
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger asChild>
        <IconButton label={`More with ${item.title}`}>
          <MoreHorizontal size={17} aria-hidden />
        </IconButton>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          align="end"
          aria-label={`What can be done with ${item.title}`}
          className="z-40 min-w-[210px] rounded-card border border-line bg-white p-1 text-ink shadow-lg"
          // What is opened from here takes the focus.
          onCloseAutoFocus={(event) => event.preventDefault()}
        >
          {rows.map((row) => (
            <DropdownMenu.Item
              key={row.label}
              onSelect={row.run}
              className="cursor-pointer rounded-[6px] px-3 py-1.5 text-[14px] outline-none data-[highlighted]:bg-indigo-pale"
            >
              {row.label}
            </DropdownMenu.Item>
          ))}
          <DropdownMenu.Item asChild>
            <a
              className="block cursor-pointer rounded-[6px] px-3 py-1.5 text-[14px] outline-none data-[highlighted]:bg-indigo-pale"
              href={`/api/projects/${item.id}/project.ullet`}
              download
            >
              Save the project file
            </a>
          </DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
