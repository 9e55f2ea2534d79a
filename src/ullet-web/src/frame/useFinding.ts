import { useEffect } from "react";
import { ask, openHelp } from "../verbs/asks";

/** The keys by which one finds one's way, in every room and on the shelf. */
export function useFindingKeys() {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const control = event.ctrlKey || event.metaKey;
      const at = event.target instanceof HTMLElement ? event.target : null;
      const typing = at?.closest("input, select, textarea, [role=textbox]") !== null && at !== null;
      const inPanel = at?.closest("[role=dialog]") != null;
      if (control && event.key.toLowerCase() === "k" && !inPanel) ask("search");
      else if (event.key === "F1") openHelp("start");
      else if (typing || control || inPanel) return;
      else if (event.key === "/") ask("search");
      else if (event.key === "?") ask("keys");
      else return;
      event.preventDefault();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
}
