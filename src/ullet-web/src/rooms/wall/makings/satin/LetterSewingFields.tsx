import type { SatinMaking } from "../../../../api/client";
import type { Made } from "../../../../api/elements";
import { Choice } from "../../../../parts/fields/Choice";
import { NumberField } from "../../../../parts/fields/NumberField";
import { Tick } from "../../../../parts/fields/Tick";
import type { ElementProps } from "../../card/elementProps";
import { useSatin } from "./useSatin";

/** Where a word begins, whether its letters are steps, and which are sewn on without a trim. */
export function LetterSewingFields({ projectId, element }: ElementProps<Made<"satin">>) {
  const { change } = useSatin(projectId, element);
  const { set, joinNearer } = element.making;
  return (
    <>
      <div className="grid grid-cols-[1fr_120px] gap-1.5">
        <Choice
          label="Letters are sewn"
          value={set.order ?? "leftToRight"}
          options={[
            { value: "leftToRight", label: "from left to right" },
            { value: "fromMiddle", label: "from the middle outwards" },
          ]}
          onChosen={(order) => change({ order: order as SatinMaking["order"] })}
        />
        <NumberField
          label="Join nearer than"
          value={joinNearer}
          unit="mm"
          onTyped={(typed) => change({ joinNearer: typed })}
        />
      </div>
      <Tick
        label="every letter is a step of its own"
        checked={set.isStepPerLetter ?? false}
        onChanged={(isStepPerLetter) => change({ isStepPerLetter })}
      />
    </>
  );
}
