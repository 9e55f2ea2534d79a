import type { FilledMaking } from "../../../../api/client";
import { useEdits } from "../../../../api/edits";
import type { Made } from "../../../../api/elements";
import { newest } from "../../card/newest";

/** Changes a part of how an element is filled; the rest stays. */
export function useFilled(projectId: string, element: Made<"filled">) {
  const edits = useEdits(projectId);
  const made = (part: Partial<FilledMaking>, now: Made<"filled">) =>
    ({ edit: "setFilled", elementId: element.id, filled: { ...now.making.set, ...part } }) as const;
  return {
    change: (part: Partial<FilledMaking>) => edits.edit((now) => made(part, newest(now, element))),
    slide: (part: Partial<FilledMaking>) => edits.preview(made(part, element)),
    lay: (filmClothId: string | null) => edits.edit({ edit: "setFilm", elementId: element.id, filmClothId }),
    bend: (by: number) => edits.edit({ edit: "bendRows", elementId: element.id, by }),
  };
}
