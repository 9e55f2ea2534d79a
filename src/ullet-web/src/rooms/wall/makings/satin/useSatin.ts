import type { SatinMaking } from "../../../../api/client";
import { useEdits } from "../../../../api/edits";
import type { Made } from "../../../../api/elements";
import { newest } from "../../card/newest";

/** Changes a part of how an element is sewn in satin; the rest stays. */
export function useSatin(projectId: string, element: Made<"satin">) {
  const edits = useEdits(projectId);
  const made = (part: Partial<SatinMaking>, now: Made<"satin">) =>
    ({ edit: "setSatin", elementId: element.id, satin: { ...now.making.set, ...part } }) as const;
  return {
    change: (part: Partial<SatinMaking>) => edits.edit((now) => made(part, newest(now, element))),
    slide: (part: Partial<SatinMaking>) => edits.preview(made(part, element)),
  };
}
