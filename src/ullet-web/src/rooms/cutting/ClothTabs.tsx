import { TriangleAlert } from "lucide-react";
import { Tabs } from "radix-ui";
import type { ReactNode } from "react";
import type { Scene } from "../../api/client";
import { ClothSwatch } from "../../parts/Swatch";

interface Props {
  scene: Scene;
  chosen: string;
  /** Cloths with a file that does not match the stitching any more. */
  outdated: Set<string>;
  onChosen: (clothId: string) => void;
  /** What the chosen cloth has. */
  children: ReactNode;
}

/** One tab for each cloth that is cut; arrow keys go from one to the next. */
export function ClothTabs({ scene, chosen, outdated, onChosen, children }: Props) {
  return (
    <Tabs.Root value={chosen} onValueChange={onChosen} className="flex min-w-0 flex-1 flex-col">
      <Tabs.List
        aria-label="Mats, one set for each cloth"
        className="flex flex-wrap gap-1 border-b border-line bg-white px-3 pt-1.5"
      >
        {scene.cutCloths.map((cloth) => (
          <Tabs.Trigger
            key={cloth.clothId}
            value={cloth.clothId}
            className="flex items-center gap-2 rounded-t-card border-b-3 border-transparent px-2.5 py-1.5 text-[14px] hover:bg-chalk data-[state=active]:border-verdigris data-[state=active]:font-semibold"
          >
            <ClothSwatch cloth={scene.cloths.find((each) => each.id === cloth.clothId)} />
            {cloth.name}
            {outdated.has(cloth.clothId) ? (
              <TriangleAlert size={15} className="text-madder" aria-label="a cut file is out of date" />
            ) : null}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value={chosen} className="flex min-h-0 flex-1 flex-col">
        {children}
      </Tabs.Content>
    </Tabs.Root>
  );
}
