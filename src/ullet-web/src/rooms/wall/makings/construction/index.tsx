import { TextButton } from "../../../../parts/TextButton";
import type { ElementProps } from "../../card/elementProps";
import { useOffers } from "../../../../verbs/useOffers";
import type { WallMaking } from "../module";
import { Note } from "../../../../parts/Note";

/** A shape that only serves others. */
export const construction: WallMaking<"construction"> = {
  Icon: () => (
    <span className="size-4.5 shrink-0 rounded-[5px] border border-dashed border-muted" aria-hidden />
  ),
  Card: Served,
  calledAlso: () => "",
};

function Served({ projectId, scene, element }: ElementProps) {
  const offers = useOffers(projectId, scene, [element]);
  const served = scene.elements
    .filter((other) => element.neededBy.includes(other.id))
    .map((other) => other.name);
  return (
    <Note className="mx-4 mb-2">
      Neither sewn nor cut.{" "}
      {served.length ? `It serves ${served.join(", ")}.` : "Nothing is made with it yet."}{" "}
      <TextButton onClick={offers.construction.run}>{offers.construction.label}</TextButton>
    </Note>
  );
}
