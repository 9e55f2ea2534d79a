import { Copy, Trash2 } from "lucide-react";
import type { Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { Section } from "../../../parts/Section";
import { useView } from "../../../state/view";
import { Colourways } from "../stuff/Colourways";
import { KeepPart } from "../parts/KeepPart";
import { OpenedTogether } from "../makings/opened/OpenedTogether";
import { KeepSketch } from "../sketches/KeepSketch";
import { SketchWays } from "../sketches/SketchWays";
import { ArrangeFields } from "./ArrangeFields";
import { CombineFields } from "./CombineFields";
import { sizeText } from "../../../state/lengths";
import { wholeBox } from "../../../canvas/whole";
import { TraitFields } from "./TraitFields";
import { WholeFields } from "./WholeFields";
import { StateButtons } from "./StateButtons";
import { useOffers } from "../../../verbs/useOffers";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

/** The card of several selected elements. */
export function SelectionCard({ projectId, scene, chosen }: Props) {
  const select = useView((view) => view.select);
  const offers = useOffers(projectId, scene, chosen);
  const whole = wholeBox(chosen);
  return (
    <div>
      <h2 className="px-4 pt-3 pb-2 font-head text-[17px] font-semibold">{chosen.length} elements</h2>
      <Section title="All of them">
        <TraitFields projectId={projectId} scene={scene} chosen={chosen} />
      </Section>
      <OpenedTogether projectId={projectId} chosen={chosen} />
      <Section title="Size & place" brief={sizeText(whole.width, whole.height, scene.unit)}>
        <WholeFields projectId={projectId} scene={scene} chosen={chosen} />
      </Section>
      <Section title="Arrange">
        <ArrangeFields projectId={projectId} scene={scene} chosen={chosen} />
        <StateButtons projectId={projectId} scene={scene} chosen={chosen} />
      </Section>
      <Section title="Drawing" brief="another way, on the shelf">
        <SketchWays projectId={projectId} chosen={chosen} />
        <KeepSketch projectId={projectId} chosen={chosen} />
        <KeepPart projectId={projectId} chosen={chosen} />
      </Section>
      <Section title="Combine" startsOpen={false} brief="carve, join, keep">
        <CombineFields projectId={projectId} chosen={chosen} />
      </Section>
      <Section title="Colourways" startsOpen={false}>
        <Colourways projectId={projectId} scene={scene} elementIds={chosen.map((element) => element.id)} />
      </Section>
      <Section title="Selected" startsOpen={false} brief={chosen.map((element) => element.name).join(", ")}>
        <ul className="max-h-[210px] divide-y divide-line overflow-y-auto rounded-card border border-line">
          {chosen.map((element) => (
            <li key={element.id}>
              <button
                type="button"
                className="w-full truncate px-3 py-1.5 text-left hover:bg-chalk"
                onClick={() => select([element.id])}
              >
                {element.name}
              </button>
            </li>
          ))}
        </ul>
        <div className="flex gap-2">
          <Button onClick={offers.duplicate.run}>
            <Copy size={16} aria-hidden />
            Duplicate
          </Button>
          <Button look="trouble" disabled={offers.remove.disabled} onClick={offers.remove.run}>
            <Trash2 size={16} aria-hidden />
            Delete
          </Button>
        </div>
      </Section>
    </div>
  );
}
