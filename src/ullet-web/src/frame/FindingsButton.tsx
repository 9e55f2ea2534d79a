import type { Scene } from "../api/client";
import { buttonClass } from "../parts/Button";
import { useView } from "../state/view";
import { LevelIcon } from "./LevelIcon";
import { grouped } from "./findings";

/** How many findings there are; opens the list with reasons and mends. */
export function FindingsButton({ scene }: { scene: Scene }) {
  const { findingsOpen, setFindingsOpen } = useView();
  const count = grouped(scene.findings).length;
  const worst = scene.findings[0]?.level ?? "none";
  return (
    <button
      type="button"
      aria-expanded={findingsOpen}
      aria-controls="findings"
      className={`${buttonClass("plain")} px-2.5 whitespace-nowrap`}
      data-level={worst}
      onClick={() => setFindingsOpen(!findingsOpen)}
    >
      <LevelIcon level={worst} />
      {count === 0 ? "No findings" : `${count} ${count === 1 ? "finding" : "findings"}`}
    </button>
  );
}
