import type { SatinEdge, Scene } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";
import { Section } from "../../../parts/Section";
import { ThreadChoice } from "./ThreadChoice";

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
function EdgeFields({ scene, edge, threadId, what, onChanged }: Props) {
  const turn = (part: Partial<SatinEdge>) => onChanged({ ...edge, ...part });
  const own = scene.threads.find((thread) => thread.id === (threadId ?? scene.hooping.coverThreadId));
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
          <ThreadChoice
            label="Thread of the edge"
            threads={scene.threads}
            value={edge.threadId}
            usual={own}
            whose="its own"
            onChosen={(threadId) => turn({ threadId })}
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

/** The section of an edge on the card of what is sewn in thread. */
export function EdgeSection(props: Props) {
  return (
    <Section title="Edge" startsOpen={props.edge != null} brief={props.edge ? "along its outline" : "none"}>
      <EdgeFields {...props} />
    </Section>
  );
}
