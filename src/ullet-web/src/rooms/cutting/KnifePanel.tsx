import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import type { CutProfile } from "../../api/client";
import { Choice } from "../../parts/fields/Choice";
import { LengthField } from "../../parts/fields/LengthField";
import { NumberField } from "../../parts/fields/NumberField";
import { heldCloth } from "./heldCloth";
import type { TableProps } from "./tableProps";

/** Blade, depth and speed for the cloth: a generic profile to begin with, each number its own. */
export function KnifePanel({ projectId, scene, cloth }: TableProps) {
  const edits = useEdits(projectId);
  const generic = useCatalogue().data?.cutProfiles ?? [];
  const profile = cloth.profile;
  const set = (next: CutProfile | null) =>
    edits.edit({ edit: "setCutProfile", clothId: cloth.clothId, profile: next });
  const change = (part: Partial<CutProfile>) =>
    edits.edit((now) => ({
      edit: "setCutProfile",
      clothId: cloth.clothId,
      profile: { ...heldCloth(now, cloth).profile, ...part },
    }));
  const usual = generic.find((each) => each.name === profile.name);
  const changed = usual !== undefined && JSON.stringify(usual) !== JSON.stringify(profile);
  return (
    <>
      <Choice
        label="Cut as"
        value={profile.name}
        options={[
          ...generic.map((each) => ({ value: each.name, label: each.name })),
          ...(usual ? [] : [{ value: profile.name, label: profile.name }]),
        ]}
        onChosen={(name) => set(generic.find((each) => each.name === name) ?? null)}
      />
      <p className="text-[13px] text-muted">
        {changed
          ? "Changed for this cloth. Choosing a profile again takes its usual numbers."
          : "The usual numbers. A test cut on the stand-in, then on your cloth, decides."}
      </p>
      <div className="grid grid-cols-2 gap-2">
        <Choice
          label="Blade"
          value={profile.blade}
          options={[
            { value: "drag", label: "drag blade" },
            { value: "rotary", label: "rotary blade" },
          ]}
          onChosen={(blade) => change({ blade: blade as CutProfile["blade"] })}
        />
        <LengthField
          label="Depth"
          value={profile.depth}
          unit={scene.unit}
          onTyped={(depth) => change({ depth })}
        />
        <NumberField
          label="Pressure"
          unit="%"
          digits={0}
          value={profile.pressure * 100}
          onTyped={(percent) => change({ pressure: percent / 100 })}
        />
        <NumberField
          label="Speed"
          unit="mm/s"
          digits={0}
          value={profile.speed}
          onTyped={(speed) => change({ speed })}
        />
        <NumberField
          label="Passes"
          digits={0}
          value={profile.passes}
          onTyped={(passes) => change({ passes: Math.round(passes) })}
        />
        <LengthField
          label="Smallest part it cuts"
          value={profile.smallestFeature}
          unit={scene.unit}
          onTyped={(smallestFeature) => change({ smallestFeature })}
        />
        {profile.blade === "rotary" ? (
          <LengthField
            label="Tightest bend"
            value={profile.leastRadius ?? 0}
            unit={scene.unit}
            onTyped={(leastRadius) => change({ leastRadius })}
          />
        ) : null}
      </div>
      <p className="text-[13px] text-muted">Remembered for this kind of cloth: new projects begin with it.</p>
    </>
  );
}
