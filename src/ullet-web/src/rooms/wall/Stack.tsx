import { ChevronDown, ChevronUp, Layers } from "lucide-react";
import { useEdits } from "../../api/edits";
import type { Scene } from "../../api/client";
import { IconButton } from "../../parts/IconButton";
import { ClothSwatch } from "../../parts/Swatch";
import { useView } from "../../state/view";

interface Props {
  projectId: string;
  scene: Scene;
}

/** What lies on what, top first. */
export function Stack({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const { selection, select, stackOpen, setStackOpen } = useView();
  const topFirst = [...scene.elements].reverse();

  const move = (elementId: string, by: number) => {
    const place = scene.elements.findIndex((element) => element.id === elementId) + by;
    if (place >= 0 && place < scene.elements.length)
      void edits.edit({ edit: "restackElement", elementId, place });
  };

  if (!stackOpen)
    return (
      <div className="border-r border-line bg-white p-1.5">
        <IconButton label="Open the stack" side="right" onClick={() => setStackOpen(true)}>
          <Layers size={19} aria-hidden />
        </IconButton>
      </div>
    );
  return (
    <section aria-label="Stack" className="flex w-[184px] shrink-0 flex-col border-r border-line bg-white">
      <div className="flex items-center justify-between py-1.5 pr-1.5 pl-3">
        <h2 className="font-semibold">Stack</h2>
        <IconButton label="Close the stack" side="right" onClick={() => setStackOpen(false)}>
          <Layers size={18} aria-hidden />
        </IconButton>
      </div>
      {topFirst.length === 0 ? (
        <p className="px-3 text-[14px] text-muted">Nothing yet. Choose Shape and lay the first piece.</p>
      ) : (
        <p className="px-3 pb-1 text-[12px] text-muted">top</p>
      )}
      <ul className="min-h-0 flex-1 overflow-y-auto">
        {topFirst.map((element, i) => {
          const chosen = selection.includes(element.id);
          return (
            <li
              key={element.id}
              data-selected={chosen || undefined}
              className="flex items-center border-l-3 border-transparent data-[selected]:border-indigo data-[selected]:bg-indigo-pale"
            >
              <button
                type="button"
                aria-pressed={chosen}
                className="flex min-w-0 flex-1 items-center gap-2 py-1.5 pl-2 text-left"
                onClick={(event) =>
                  select(
                    event.shiftKey
                      ? chosen
                        ? selection.filter((id) => id !== element.id)
                        : [...selection, element.id]
                      : [element.id],
                  )
                }
                onKeyDown={(event) => {
                  if (event.altKey && (event.key === "ArrowUp" || event.key === "ArrowDown")) {
                    event.preventDefault();
                    event.stopPropagation();
                    move(element.id, event.key === "ArrowUp" ? 1 : -1);
                  }
                }}
              >
                <ClothSwatch cloth={scene.cloths.find((cloth) => cloth.id === element.clothId)} />
                <span className="truncate">{element.name}</span>
              </button>
              {chosen ? (
                <span className="flex">
                  <IconButton
                    label={`Move ${element.name} up the stack`}
                    keys="Alt+↑"
                    className="h-7! w-6!"
                    disabled={i === 0}
                    onClick={() => move(element.id, 1)}
                  >
                    <ChevronUp size={16} aria-hidden />
                  </IconButton>
                  <IconButton
                    label={`Move ${element.name} down the stack`}
                    keys="Alt+↓"
                    className="h-7! w-6!"
                    disabled={i === topFirst.length - 1}
                    onClick={() => move(element.id, -1)}
                  >
                    <ChevronDown size={16} aria-hidden />
                  </IconButton>
                </span>
              ) : null}
            </li>
          );
        })}
      </ul>
      {topFirst.length ? (
        <p className="border-t border-line px-3 py-1 text-[12px] text-muted">bottom: the ground cloth</p>
      ) : null}
    </section>
  );
}
