import type { SatinEdge, Scene } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { ThreadSwatch } from "../../../parts/Swatch";

interface Props {
  scene: Scene;
  edge: SatinEdge | null | undefined;
  /** The thread of what it goes round; null for the project's. */
  threadId: string | null | undefined;
  /** What it goes round: "satin", "fill". */
  what: string;
  onChanged: (edge: SatinEdge | null) => unknown;
}

/** A line along the outline: its stitch, its thread, when it is sewn. */
export function EdgeFields({ scene, edge, threadId, what, onChanged }: Props) {
  const turn = (part: Partial<SatinEdge>) => onChanged({ ...edge, ...part });
  const own = scene.threads.find((thread) => thread.id === (threadId ?? scene.hooping.coverThreadId));
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
          stitch === "" ? onChanged(null) : turn({ stitch: stitch as SatinEdge["stitch"] })
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
              { value: "after", label: `after the ${what}` },
              { value: "before", label: `before the ${what}` },
            ]}
            onChosen={(when) => turn({ isBefore: when === "before" })}
          />
        </div>
      ) : null}
    </>
  );
}
