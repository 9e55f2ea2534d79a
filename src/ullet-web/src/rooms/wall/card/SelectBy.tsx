import { ListFilter } from "lucide-react";
import { Popover } from "radix-ui";
import { useState, type ReactNode } from "react";
import type { Scene, StageChoice } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { useCatalogue, useFonts } from "../../../api/queries";
import { free } from "../../../canvas/hitTest";
import { mainContainer } from "../../../parts/mainContainer";
import { useView } from "../../../state/view";
import { Mark } from "./TraitFields";
import { choicesOf, nextLike, wordsOf } from "./traits";

/** Selects by rule: all of one cloth, one thread, one font, one kind, one stage; or the next one like what is selected. */
export function SelectBy({ scene }: { scene: Scene }) {
  const { select, selection } = useView();
  const [open, setOpen] = useState(false);
  const catalogue = useCatalogue().data;
  const fonts = useFonts().data ?? [];
  const choose = (ids: string[]) => {
    select(ids);
    setOpen(false);
  };
  const take = (fits: (element: Element) => boolean) =>
    choose(scene.elements.filter((element) => free(element) && fits(element)).map((element) => element.id));
  const known = new Map(
    (catalogue?.methods ?? []).flatMap((method) => method.stages).map((stage) => [stage.role, stage]),
  );
  const stages = [...known.values()].filter(({ role }) =>
    scene.elements.some((element) => sews(scene, element, role)),
  );
  const next = nextLike(scene, selection[0]);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        disabled={scene.elements.length === 0}
        aria-label="Select by cloth, thread, kind or stage"
        title="Select by cloth, thread, kind or stage"
        className="inline-flex size-8 items-center justify-center rounded-card hover:bg-indigo-pale disabled:opacity-35"
      >
        <ListFilter size={17} aria-hidden />
      </Popover.Trigger>
      <Popover.Portal container={mainContainer()}>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={8}
          aria-label="Select all"
          className="z-40 max-h-[74vh] w-[264px] overflow-y-auto rounded-card border border-line bg-white p-2 shadow-lg"
        >
          {selection.length === 1 ? (
            <Pick disabled={next === null} onPick={() => (next === null ? undefined : choose([next]))}>
              {next === null ? "No other one like this" : "The next like this"}
              <span className="ml-auto text-[13px] text-muted" aria-hidden>
                L
              </span>
            </Pick>
          ) : null}
          {(catalogue?.traits ?? [])
            .filter((trait) => trait.selectsBy)
            .map((trait) => {
              const found = [...new Set(scene.elements.flatMap((element) => wordsOf(trait, element)))].filter(
                (word) => word !== "",
              );
              if (found.length === 0) return null;
              const names = new Map(
                choicesOf(trait, scene, fonts).map(({ word, name }) => [word, name] as const),
              );
              return (
                <div key={trait.id} role="group" aria-label={`By ${trait.name.toLowerCase()}`}>
                  <p className="mt-1.5 px-2 text-[13px] text-muted">{trait.name}</p>
                  {found.map((word) => (
                    <Pick key={word} onPick={() => take((element) => wordsOf(trait, element).includes(word))}>
                      <Mark trait={trait} scene={scene} word={word} />
                      <span className="min-w-0 truncate">{names.get(word) ?? word}</span>
                      <span className="ml-auto pl-2 text-[13px] text-muted" aria-hidden>
                        {scene.elements.filter((element) => wordsOf(trait, element).includes(word)).length}
                      </span>
                    </Pick>
                  ))}
                </div>
              );
            })}
          <div role="group" aria-label="By stage" hidden={stages.length === 0}>
            <p className="mt-1.5 px-2 text-[13px] text-muted">Have a</p>
            {stages.map(({ role, name }) => (
              <Pick key={role} onPick={() => take((element) => sews(scene, element, role))}>
                {name}
              </Pick>
            ))}
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

/** True when a stage of an element is sewn, in whatever hooping. */
function sews(scene: Scene, element: Element, stage: StageChoice["role"]): boolean {
  const steps = [...scene.steps, ...scene.guides.flatMap((guide) => guide.steps)];
  return steps.some((step) => step.ownerId === element.id && step.stage === stage);
}

interface PickProps {
  disabled?: boolean;
  onPick: () => void;
  children: ReactNode;
}

function Pick({ disabled, onPick, children }: PickProps) {
  return (
    <button
      type="button"
      disabled={disabled}
      className="flex w-full items-center gap-2 rounded-[6px] px-2 py-1 text-left text-[14px] hover:bg-indigo-pale disabled:text-muted disabled:hover:bg-transparent"
      onClick={onPick}
    >
      {children}
    </button>
  );
}
