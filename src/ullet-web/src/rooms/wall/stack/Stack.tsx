import { Blend, ChevronDown, ChevronUp, DraftingCompass, EyeOff, Group, Layers, Lock } from "lucide-react";
import type { KeyboardEvent, MouseEvent } from "react";
import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import { isMade, type Element } from "../../../api/elements";
import { IconButton } from "../../../parts/IconButton";
import { useView } from "../../../state/view";
import { makingOf } from "../makings";
import { SelectBy } from "../card/SelectBy";
import { useCarriedRow } from "../../../parts/useCarriedRow";

interface Props {
  projectId: string;
  scene: Scene;
}

/** What lies on what, top first; rows are dragged, or moved with Alt and the arrow keys. */
export function Stack({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const { selection, select, stackOpen, setStackOpen } = useView();
  const topFirst = [...scene.elements].reverse();

  const restack = (elementId: string, place: number) => {
    if (place >= 0 && place < scene.elements.length)
      void edits.edit({ edit: "restackElement", elementId, place });
  };
  const move = (elementId: string, by: number) =>
    restack(elementId, scene.elements.findIndex((element) => element.id === elementId) + by);

  const carry = useCarriedRow((elementId, onId) =>
    restack(
      elementId,
      scene.elements.findIndex((element) => element.id === onId),
    ),
  );

  const pick = (event: MouseEvent, element: Element, chosen: boolean) =>
    select(
      event.shiftKey
        ? chosen
          ? selection.filter((id) => id !== element.id)
          : [...selection, element.id]
        : [element.id],
    );

  const onKey = (event: KeyboardEvent, element: Element) => {
    if (event.shiftKey && (event.key === "Enter" || event.key === " ")) {
      event.preventDefault();
      const chosen = selection.includes(element.id);
      select(chosen ? selection.filter((id) => id !== element.id) : [...selection, element.id]);
      return;
    }
    if (!event.altKey || (event.key !== "ArrowUp" && event.key !== "ArrowDown")) return;
    event.preventDefault();
    event.stopPropagation();
    move(element.id, event.key === "ArrowUp" ? 1 : -1);
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
    <section
      aria-label="Stack"
      className="flex w-[184px] shrink-0 flex-col max-lg:w-[136px] border-r border-line bg-white"
    >
      <div className="flex items-center py-1.5 pr-1.5 pl-3">
        <h2 className="mr-auto font-semibold">Stack</h2>
        <SelectBy scene={scene} />
        <IconButton label="Close the stack" side="right" onClick={() => setStackOpen(false)}>
          <Layers size={18} aria-hidden />
        </IconButton>
      </div>
      {topFirst.length === 0 ? (
        <p className="px-3 text-[14px] text-muted">
          Nothing yet. Choose Shape or Letters and lay the first piece.
        </p>
      ) : (
        <p className="px-3 pb-1 text-[12px] text-muted">top</p>
      )}
      <ul className="min-h-0 flex-1 overflow-y-auto">
        {topFirst.map((element, i) => {
          const chosen = selection.includes(element.id);
          const making = makingOf(element);
          const also = making.calledAlso(element);
          return (
            <li
              key={element.id}
              data-selected={chosen || undefined}
              data-carried={carry.carried === element.id || undefined}
              data-over={(carry.over === element.id && carry.carried !== element.id) || undefined}
              data-row={element.id}
              onPointerDown={(event) => carry.down(event, element.id, element.isLocked)}
              onPointerMove={carry.move}
              onPointerUp={carry.up}
              onPointerCancel={carry.cancel}
              className="flex touch-none items-center border-l-3 border-transparent select-none data-[carried]:opacity-50 data-[over]:border-t-2 data-[over]:border-t-marigold data-[selected]:border-l-indigo data-[selected]:bg-indigo-pale"
            >
              <button
                type="button"
                aria-pressed={chosen}
                className="flex min-w-0 flex-1 items-center gap-2 py-1.5 pl-2 text-left data-[grouped]:pl-5"
                data-grouped={element.groupId != null || undefined}
                onClick={(event) => pick(event, element, chosen)}
                onKeyDown={(event) => onKey(event, element)}
              >
                <making.Icon scene={scene} element={element} />
                <span className="truncate">{also ? `${element.name}, ${also}` : element.name}</span>
                <State element={element} />
              </button>
              {chosen && selection.length === 1 ? (
                <span className="flex">
                  <IconButton
                    label={`Move ${element.name} up the stack`}
                    keys="Alt+↑"
                    className="h-7! w-6!"
                    disabled={i === 0 || element.isLocked}
                    onClick={() => move(element.id, 1)}
                  >
                    <ChevronUp size={16} aria-hidden />
                  </IconButton>
                  <IconButton
                    label={`Move ${element.name} down the stack`}
                    keys="Alt+↓"
                    className="h-7! w-6!"
                    disabled={i === topFirst.length - 1 || element.isLocked}
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

function State({ element }: { element: Element }) {
  return (
    <span className="ml-auto flex shrink-0 items-center gap-1 pr-1 text-muted">
      {element.groupId != null ? <Group size={13} role="img" aria-label="in a group" /> : null}
      {element.operations.length ? (
        <Blend size={13} role="img" aria-label={`made with ${element.operations.length} operations`} />
      ) : null}
      {isMade(element, "construction") ? (
        <DraftingCompass size={13} role="img" aria-label="construction shape" />
      ) : null}
      {element.isLocked ? <Lock size={13} role="img" aria-label="locked" /> : null}
      {element.isHidden ? <EyeOff size={13} role="img" aria-label="hidden" /> : null}
    </span>
  );
}
