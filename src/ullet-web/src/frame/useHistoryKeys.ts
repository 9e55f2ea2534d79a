import { useEffect } from "react";
import type { Scene } from "../api/client";
import { useEdits } from "../api/edits";

/** Undo and redo by keys, in every room. */
export function useHistoryKeys(projectId: string, scene: Scene | undefined) {
  const edits = useEdits(projectId);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && event.target.closest("input, textarea, [role=dialog]");
      if (!scene || typing || !(event.ctrlKey || event.metaKey)) return;
      const key = event.key.toLowerCase();
      const again = key === "y" || (key === "z" && event.shiftKey);
      if (key !== "z" && !again) return;
      event.preventDefault();
      if (again && scene.redoLabel) void edits.redo();
      if (!again && scene.undoLabel) void edits.undo();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [scene, edits]);
}
