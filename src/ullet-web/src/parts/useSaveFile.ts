import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Refused, saveFile } from "../api/client";
import { keys } from "../api/queries";
import { say } from "../state/messages";

/** Saves files of a project; afterwards the list of what was handed out is read again. */
export function useSaveFile(projectId: string) {
  const queries = useQueryClient();
  const [saving, setSaving] = useState<string | null>(null);

  const save = async (url: string) => {
    setSaving(url);
    try {
      await saveFile(url);
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That file could not be fetched.", "trouble");
    } finally {
      setSaving(null);
      await queries.invalidateQueries({ queryKey: ["exports", projectId] });
      await queries.invalidateQueries({ queryKey: keys.handed(projectId) });
    }
  };

  return { save, saving };
}
