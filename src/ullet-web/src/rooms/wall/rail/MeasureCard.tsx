import { useState, type FormEvent } from "react";
import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import { useCatalogue, useFonts } from "../../../api/queries";
import { Button } from "../../../parts/Button";
import { Choice } from "../../../parts/fields/Choice";
import { PlainField } from "../../../parts/fields/PlainField";
import { LengthField } from "../../../parts/fields/LengthField";
import { Section } from "../../../parts/Section";
import { withUnit } from "../../../state/lengths";
import { useView, type Measured } from "../../../state/view";

interface Props {
  projectId: string;
  scene: Scene;
}

const NOTHING: Measured = { from: { x: 0, y: 0 }, to: { x: 0, y: 0 } };

/** The card while measuring: the stretch in numbers, and letters that fit into it. */
export function MeasureCard({ projectId, scene }: Props) {
  const { measured, setMeasured, setTool } = useView();
  const { from, to } = measured ?? NOTHING;
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const set = (part: (now: Measured) => Partial<Measured>) => {
    const now = useView.getState().measured ?? NOTHING;
    setMeasured({ ...now, ...part(now) });
  };
  return (
    <div>
      <div className="flex items-center px-4 pt-3 pb-1">
        <h2 className="font-head text-[17px] font-semibold">Measure</h2>
        <Button className="ml-auto" onClick={() => setTool("select")}>
          Done
        </Button>
      </div>
      <Section title="Stretch">
        <p className="text-[14px] text-muted">
          Drag from edge to edge on the wall, or type both ends, from the hoop’s centre.
        </p>
        <p className="text-[22px] font-semibold" role="status">
          {withUnit(length, scene.unit)}
        </p>
        <p className="text-[14px] text-muted">
          {withUnit(Math.abs(to.x - from.x), scene.unit)} across,{" "}
          {withUnit(Math.abs(to.y - from.y), scene.unit)} down
        </p>
        <div className="grid grid-cols-2 gap-1.5">
          <LengthField
            label="From, across"
            value={from.x}
            unit={scene.unit}
            onTyped={(x) => set((now) => ({ from: { ...now.from, x } }))}
          />
          <LengthField
            label="From, down"
            value={from.y}
            unit={scene.unit}
            onTyped={(y) => set((now) => ({ from: { ...now.from, y } }))}
          />
          <LengthField
            label="To, across"
            value={to.x}
            unit={scene.unit}
            onTyped={(x) => set((now) => ({ to: { ...now.to, x } }))}
          />
          <LengthField
            label="To, down"
            value={to.y}
            unit={scene.unit}
            onTyped={(y) => set((now) => ({ to: { ...now.to, y } }))}
          />
        </div>
      </Section>
      {length > 4 ? (
        <FittingLetters projectId={projectId} scene={scene} measured={{ from, to }} length={length} />
      ) : null}
    </div>
  );
}

function FittingLetters({
  projectId,
  scene,
  measured,
  length,
}: Props & { measured: Measured; length: number }) {
  const edits = useEdits(projectId);
  const setTool = useView((view) => view.setTool);
  const fonts = useFonts().data ?? [];
  const [text, setText] = useState("");
  const usual = useCatalogue().data?.usualFontId ?? "";
  const [chosenFont, setFont] = useState<string | null>(null);
  const font = chosenFont ?? scene.nextWords.fontId ?? usual;
  const { from, to } = measured;

  const add = async (event: FormEvent) => {
    event.preventDefault();
    const degrees = (Math.atan2(to.y - from.y, to.x - from.x) * 180) / Math.PI;
    // Read from left to right, and upwards where the stretch is upright.
    const rotation = degrees > 89 ? degrees - 180 : degrees <= -91 ? degrees + 180 : degrees;
    if (
      await edits.add({
        edit: "addWords",
        text,
        fontId: font,
        fitWidth: length,
        x: (from.x + to.x) / 2,
        y: (from.y + to.y) / 2,
        rotation,
      })
    )
      setTool("select");
  };

  return (
    <Section title="Letters that fit">
      <form className="space-y-2" onSubmit={(event) => void add(event)}>
        <PlainField label="Words" value={text} onChange={setText} />
        <Choice
          label="Font"
          value={font}
          options={fonts.map((each) => ({ value: each.id, label: each.name }))}
          onChosen={setFont}
        />
        <Button type="submit" look="main">
          Set them {withUnit(length, scene.unit)} wide
        </Button>
        <p className="text-[13px] text-muted">
          Made as words were made last. What is sewn round them is counted in: they end at the stretch’s ends.
        </p>
      </form>
    </Section>
  );
}
