import type { Operation } from "../../../api/client";

/** An operation with the elements that were chosen for it. */
export const withSources = (operation: Operation, sourceIds: string[]): Operation =>
  "sourceIds" in operation ? { ...operation, sourceIds } : operation;
