import { useEffect } from "react";
import { Panel } from "../parts/Panel";
import { useView } from "../state/view";

const KEYS = [
  ["Arrows", "Move what is selected, or the chosen letter, by 1 mm; with Shift 10, with Alt 0.1"],
  ["Delete", "Delete what is selected"],
  ["Ctrl+Z · Ctrl+Y", "Undo · redo"],
  ["Ctrl+C · Ctrl+X · Ctrl+V", "Copy, cut out, paste; from project to project too"],
  ["Ctrl+D", "Duplicate"],
  ["Ctrl+G · Ctrl+Shift+G", "Group · take the group apart"],
  ["Ctrl+A", "Select everything"],
  ["Tab", "On the wall: select the next element"],
  ["Shift+F10, right button", "What can be done with the selection"],
  ["Double click", "Into a group, or one letter of words"],
  ["T", "Set new words; Ctrl+Enter sets them"],
  ["Tab · Alt+Enter in words", "The next words · more words like these"],
  ["L", "Select the next element like this one"],
  ["M", "Measure"],
  ["P", "Draw with the pen"],
  ["N", "Edit the nodes of what is selected"],
  ["Wheel or pinch", "Zoom at the pointer"],
  ["Space or middle button", "Drag the wall"],
  ["0 · 1", "Fit the hoop · true size"],
  ["+ · −", "Zoom in · out"],
  ["Shift while scaling", "Free the proportions when locked, lock them when free"],
  ["Alt while dragging", "Past the guides; turning: freely instead of in steps of 15°"],
  ["Shift+Enter in the stack", "Add to what is selected, or take from it"],
  ["Alt+↑ · Alt+↓ in the stack", "Up · down the stack"],
  ["Page up · Page down · R", "On the mat: choose a shape (arrows move it), turn it by a quarter"],
  ["Escape", "Let go, then select nothing"],
  ["?", "These keys"],
] as const;

/** All keys in one list; "?" opens it. */
export function KeysPanel() {
  const { keysOpen, setKeysOpen } = useView();

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest("input, select, textarea");
      if (event.key === "?" && !typing) setKeysOpen(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [setKeysOpen]);

  if (!keysOpen) return null;
  return (
    <Panel title="Keys" onClose={() => setKeysOpen(false)}>
      <dl className="grid min-h-0 grid-cols-[auto_1fr] gap-x-4 gap-y-1.5 overflow-y-auto">
        {KEYS.map(([keys, what]) => (
          <div key={keys} className="contents">
            <dt className="font-semibold">{keys}</dt>
            <dd className="text-muted">{what}</dd>
          </div>
        ))}
      </dl>
    </Panel>
  );
}
