import type { SatinEdge } from "../../../../api/client";
import type { Made } from "../../../../api/elements";
import { Choice } from "../../../../parts/fields/Choice";
import { ThreadSwatch } from "../../../../parts/Swatch";
import type { ElementProps } from "../../card/elementProps";
import { useSatin } from "./useSatin";

/** A line along the outline: its stitch, its thread, when it is sewn. */
export function SatinEdgeFields({ projectId, scene, element }: ElementProps<Made<"satin">>) {
  const { change } = useSatin(projectId, element);
  const { set } = element.making;
  const edge = set.edge;
  const turn = (part: Partial<SatinEdge>) => change({ edge: { ...edge, ...part } });
  const own = scene.threads.find((thread) => thread.id === (set.threadId ?? scene.hooping.coverThreadId));
  const thread = scene.threads.find((known) => known.id === edge?.threadId) ?? own;
  return (
    <>
      <Choice
        label="Along its outline"
        value={edge ? (edge.stitch ?? "run") : ""}
        options={[
          { value: "", label: "nothing" },
          { value: "run", label: "a running stitch" },
          { value: "bean", label: "bean, each stitch three times" },
          { value: "satin", label: "a narrow satin" },
          { value: "motif", label: "a decorative stitch" },
        ]}
        onChosen={(stitch) =>
          stitch === "" ? change({ edge: null }) : turn({ stitch: stitch as SatinEdge["stitch"] })
        }
      />
      {edge ? (
        <div className="grid grid-cols-2 gap-1.5">
          <Choice
            label="Thread of the edge"
            value={edge.threadId ?? ""}
            mark={<ThreadSwatch colour={thread?.colour ?? "#ffffff"} />}
            options={[
              { value: "", label: `its own (${own?.name ?? "none"})` },
              ...scene.threads.map((known) => ({ value: known.id, label: known.name })),
            ]}
            onChosen={(id) => turn({ threadId: id || null })}
          />
          <Choice
            label="Sewn"
            value={edge.isBefore ? "before" : "after"}
            options={[
              { value: "after", label: "after the satin" },
              { value: "before", label: "before the satin" },
            ]}
            onChosen={(when) => turn({ isBefore: when === "before" })}
          />
        </div>
      ) : null}
    </>
  );
}
