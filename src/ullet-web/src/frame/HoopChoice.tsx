import { useState } from "react";
import { useEdits } from "../api/edits";
import type { Edit, Scene } from "../api/client";
import { Choice } from "../parts/fields/Choice";
import { HoopPanel } from "./HoopPanel";
import { useWhenAsked } from "../verbs/asks";
import { hooped, hoopText, useHoopOptions } from "./hoops";

interface Props {
  projectId: string;
  scene: Scene;
}

const ASK = "ask";
const TURN = "turn";

/** The hoop: one of the trade's, one of one's own, the same one sideways, or one that is typed. */
export function HoopChoice({ projectId, scene }: Props) {
  const edits = useEdits(projectId);
  const [asking, setAsking] = useState(false);
  useWhenAsked("hoop", () => setAsking(true));
  const options = useHoopOptions(scene.unit);
  const { hoop, hoopInches } = scene.hooping;
  const now =
    options.find((each) => each.own?.hoop.name === hoop.name && isOf(each, hoop)) ??
    options.find((each) => !each.own && isOf(each, hoop));
  const own = { ...hoop, inches: hoopInches };
  return (
    <>
      <Choice
        label="Hoop, sewing field"
        labelHidden
        className="w-[134px] shrink-0 max-xl:w-[124px]"
        value={now?.key ?? "now"}
        options={[
          ...(now ? [] : [{ value: "now", label: nameOf(own, hoopText(own, scene.unit)) }]),
          // What is chosen is told shortly: it stands in the header.
          ...options.map((each) => ({ value: each.key, label: each === now ? each.brief : each.label })),
          ...(hoop.fieldWidth === hoop.fieldHeight ? [] : [{ value: TURN, label: "Turn the hoop" }]),
          { value: ASK, label: "Another hoop…" },
        ]}
        onChosen={(key) => {
          if (key === ASK) {
            setAsking(true);
            return;
          }
          if (key === TURN) return edits.edit(TURNED);
          const chosen = options.find((each) => each.key === key);
          return chosen ? edits.edit(chosen.own ? hooped(chosen.own.hoop) : sized(chosen)) : undefined;
        }}
      />
      {asking ? <HoopPanel projectId={projectId} scene={scene} onClose={() => setAsking(false)} /> : null}
    </>
  );
}

type Hoop = Scene["hooping"]["hoop"];

const isOf = (option: { width: number; height: number }, hoop: Hoop) =>
  option.width === hoop.fieldWidth && option.height === hoop.fieldHeight;

const nameOf = (hoop: Hoop, text: string) =>
  /^[\d.]+ × [\d.]+$/.test(hoop.name) ? text : `${hoop.name} (${text})`;

const sized = ({ width, height }: { width: number; height: number }): Edit => ({
  edit: "setHooping",
  fieldWidth: width,
  fieldHeight: height,
});

const TURNED: Edit = { edit: "setHooping", turnHoop: true };
