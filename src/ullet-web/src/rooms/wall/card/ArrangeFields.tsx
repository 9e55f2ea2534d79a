import {
  AlignCenterHorizontal,
  AlignCenterVertical,
  AlignEndHorizontal,
  AlignEndVertical,
  AlignHorizontalSpaceBetween,
  AlignStartHorizontal,
  AlignStartVertical,
  AlignVerticalSpaceBetween,
  type LucideIcon,
} from "lucide-react";
import { useState } from "react";
import { useEdits } from "../../../api/edits";
import type { Edit, Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { Button } from "../../../parts/Button";
import { Choice } from "../../../parts/fields/Choice";
import { IconButton } from "../../../parts/IconButton";
import { LengthField } from "../../../parts/fields/LengthField";
import { Tick } from "../../../parts/fields/Tick";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

type AlignLine = Extract<Edit, { edit: "alignElements" }>["line"];

const LINES: { line: AlignLine; label: string; icon: LucideIcon }[] = [
  { line: "left", label: "Align left edges", icon: AlignStartVertical },
  { line: "centre", label: "Align middles across", icon: AlignCenterVertical },
  { line: "right", label: "Align right edges", icon: AlignEndVertical },
  { line: "top", label: "Align top edges", icon: AlignStartHorizontal },
  { line: "middle", label: "Align middles down", icon: AlignCenterHorizontal },
  { line: "bottom", label: "Align bottom edges", icon: AlignEndHorizontal },
];

const EYE_LINES: { line: AlignLine; label: string; words: string }[] = [
  { line: "baseline", label: "Stand all on one baseline", words: "Baseline" },
  {
    line: "opticalCentre",
    label: "By eye across, middle on middle as the form balances",
    words: "Eye across",
  },
  {
    line: "opticalMiddle",
    label: "By eye down, middle on middle as the form balances",
    words: "Eye down",
  },
];

/** Lining up, spacing and centring, against the hoop, each other, or an element that stays. */
export function ArrangeFields({ projectId, scene, chosen }: Props) {
  const edits = useEdits(projectId);
  const ids = chosen.map((element) => element.id);
  const several = chosen.length > 1;
  const [wish, setWish] = useState<string | null>(null);
  const key = scene.elements.find((element) => element.id === wish);
  const to = key
    ? key.id
    : wish === "selection" && several
      ? "selection"
      : wish === "hoop" || !several
        ? "hoop"
        : "selection";
  const others = scene.elements.filter((element) => several || !ids.includes(element.id));

  const align = (line: AlignLine) =>
    edits.edit({
      edit: "alignElements",
      elementIds: ids,
      line,
      to: key ? "key" : to === "selection" ? "selection" : "hoop",
      keyElementId: key?.id ?? null,
    });
  const centre = (asOne: boolean) =>
    edits.edit({ edit: "centreElements", elementIds: ids, asOne, keyElementId: key?.id ?? null });

  return (
    <>
      <Choice
        label="Line up with"
        value={to}
        options={[
          ...(several ? [{ value: "selection", label: "what is selected" }] : []),
          { value: "hoop", label: "the hoop, covers inside" },
          ...others.map((element) => ({ value: element.id, label: `${element.name}, which stays` })),
        ]}
        onChosen={setWish}
      />
      <div className="flex justify-between" role="group" aria-label="Align">
        {LINES.map(({ line, label, icon: Icon }) => (
          <IconButton key={line} label={label} onClick={() => align(line)}>
            <Icon size={18} aria-hidden />
          </IconButton>
        ))}
      </div>
      <div className="grid grid-cols-3 gap-1.5" role="group" aria-label="Align by letters and by eye">
        {EYE_LINES.map(({ line, label, words }) => (
          <Button key={line} aria-label={label} title={label} className="px-1!" onClick={() => align(line)}>
            {words}
          </Button>
        ))}
      </div>
      <div className="flex gap-1.5">
        <Button className="flex-1" onClick={() => centre(true)}>
          {several ? "Centre as one" : "Centre"}
        </Button>
        {several ? (
          <Button className="flex-1" onClick={() => centre(false)}>
            Centre each
          </Button>
        ) : null}
      </div>
      {several ? (
        <Spacing
          projectId={projectId}
          scene={scene}
          ids={ids}
          to={key ? "key" : to === "hoop" ? "hoop" : "selection"}
          keyElementId={key?.id ?? null}
        />
      ) : null}
      {key || several ? <Matching projectId={projectId} ids={ids} keyElement={key} /> : null}
    </>
  );
}

interface SpacingProps {
  projectId: string;
  scene: Scene;
  ids: string[];
  to: "selection" | "hoop" | "key";
  keyElementId: string | null;
}

const EVENLY = {
  selection: "Equal gaps between the outermost",
  hoop: "Equal gaps from edge to edge of the hoop",
  key: "Equal gaps round the one that stays",
};

function Spacing({ projectId, scene, ids, to, keyElementId }: SpacingProps) {
  const edits = useEdits(projectId);
  const [gap, setGap] = useState(10);
  const [own, setOwn] = useState(false);
  const space = (direction: "across" | "down") =>
    edits.edit({
      edit: "distributeElements",
      elementIds: ids,
      direction,
      gap: own ? gap : null,
      to,
      keyElementId,
    });
  return (
    <div className="grid grid-cols-[1fr_auto_auto] items-end gap-1.5">
      <div>
        <Tick
          label="Gap of its own"
          className="text-[13px] text-muted"
          checked={own}
          onChanged={(on) => setOwn(on)}
        />
        {own ? (
          <LengthField label="Gap" value={gap} unit={scene.unit} onTyped={setGap} />
        ) : (
          <p className="text-[13px] text-muted">{EVENLY[to]}</p>
        )}
      </div>
      <IconButton label="Equal gaps across" onClick={() => space("across")}>
        <AlignHorizontalSpaceBetween size={18} aria-hidden />
      </IconButton>
      <IconButton label="Equal gaps down" onClick={() => space("down")}>
        <AlignVerticalSpaceBetween size={18} aria-hidden />
      </IconButton>
    </div>
  );
}

interface MatchingProps {
  projectId: string;
  ids: string[];
  /** Whose size is taken; none for the widest or tallest of them. */
  keyElement: Element | undefined;
}

function Matching({ projectId, ids, keyElement }: MatchingProps) {
  const edits = useEdits(projectId);
  const match = (part: { width?: boolean; height?: boolean; keepProportions?: boolean }) =>
    edits.edit({
      edit: "matchSize",
      elementIds: ids,
      keyElementId: keyElement?.id ?? null,
      width: false,
      height: false,
      keepProportions: false,
      ...part,
    });
  return (
    <div role="group" aria-label={keyElement ? `Match ${keyElement.name}` : "Match the largest"}>
      <p className="mb-1 text-[13px] text-muted">As large as {keyElement?.name ?? "the largest of them"}</p>
      <div className="grid grid-cols-2 gap-1.5">
        <Button onClick={() => match({ width: true, keepProportions: true })}>Same width</Button>
        <Button onClick={() => match({ height: true, keepProportions: true })}>Same height</Button>
        <Button onClick={() => match({ width: true })}>Stretch to width</Button>
        <Button onClick={() => match({ width: true, height: true })}>Same size</Button>
        {keyElement ? (
          <Button
            className="col-span-2"
            onClick={() =>
              edits.edit({ edit: "fitInto", elementIds: ids, targetId: keyElement.id, margin: 2 })
            }
          >
            Fit into it, 2 mm free all round
          </Button>
        ) : null}
      </div>
    </div>
  );
}
