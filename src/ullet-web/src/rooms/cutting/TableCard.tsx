import { Tabs } from "radix-ui";
import { EdgePanel } from "./EdgePanel";
import { FilesPanel } from "./FilesPanel";
import { KnifePanel } from "./KnifePanel";
import { LayoutPanel } from "./LayoutPanel";
import { SizesPanel } from "./SizesPanel";
import type { TableProps } from "./tableProps";

const PARTS = [
  { id: "sizes", label: "Sizes", Part: SizesPanel },
  { id: "layout", label: "Lay out", Part: LayoutPanel },
  { id: "edge", label: "Edge match", Part: EdgePanel },
  { id: "knife", label: "Blade", Part: KnifePanel },
  { id: "files", label: "Files", Part: FilesPanel },
];

/** Beside the mat: sizes, layout, edge match, blade and files of the cloth. */
export function TableCard(props: TableProps) {
  const outdated = props.exports.some((each) => !each.isCurrent);
  return (
    <aside
      aria-label="Size card"
      className="flex w-[372px] shrink-0 flex-col max-lg:w-[300px] border-l border-line bg-white"
    >
      <Tabs.Root defaultValue="sizes" className="flex min-h-0 flex-1 flex-col">
        <Tabs.List aria-label="What the card shows" className="flex border-b border-line px-2 pt-1.5">
          {PARTS.map(({ id, label }) => (
            <Tabs.Trigger
              key={id}
              value={id}
              className="border-b-3 border-transparent px-2.5 py-1.5 text-[14px] hover:bg-chalk data-[state=active]:border-indigo data-[state=active]:font-semibold"
            >
              {label}
              {id === "files" && outdated ? <span className="ml-1 text-madder">!</span> : null}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {PARTS.map(({ id, Part }) => (
          <Tabs.Content key={id} value={id} className="relative min-h-0 flex-1 space-y-3 overflow-y-auto p-4">
            <Part {...props} />
          </Tabs.Content>
        ))}
      </Tabs.Root>
    </aside>
  );
}
