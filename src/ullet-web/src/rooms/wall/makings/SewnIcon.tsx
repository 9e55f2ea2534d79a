import type { Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { ThreadSwatch } from "../../../parts/Swatch";

/** The thread of what is sewn without cloth. */
export function SewnIcon({ scene, element }: { scene: Scene; element: Element }) {
  const step = scene.steps.find((each) => each.ownerId === element.id && each.threadId != null);
  const thread = scene.threads.find((known) => known.id === step?.threadId);
  return <ThreadSwatch colour={thread?.colour ?? "#ffffff"} />;
}
