import type { WallForm } from "../module";

/** Needle points of a file: what there is to set of them stands with their making. */
export const opened: WallForm<"opened"> = {
  frozen: "",
};
