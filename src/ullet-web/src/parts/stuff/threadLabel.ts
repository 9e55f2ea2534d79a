import type { Thread } from "../../api/client";

/** How a thread is called where one is told from another: number and name. */
export const threadLabel = ({ number, name }: Pick<Thread, "number" | "name">) =>
  number && number !== name ? `${number} ${name}` : name;
