import type { ReactNode } from "react";
import type { Scene } from "../../../api/client";
import { Choice } from "../../../parts/fields/Choice";

/** Two fields side by side. */
export function Pair({ children }: { children: ReactNode }) {
  return <div className="mt-1 grid grid-cols-2 gap-1.5">{children}</div>;
}

interface CornersProps {
  value: "round" | "sharp";
  onChosen: (value: "round" | "sharp") => void;
}

/** How a moved edge goes round corners. */
export function Corners({ value, onChosen }: CornersProps) {
  return (
    <Choice
      label="Corners"
      value={value}
      options={[
        { value: "round", label: "round" },
        { value: "sharp", label: "sharp" },
      ]}
      onChosen={(corners) => onChosen(corners === "sharp" ? "sharp" : "round")}
    />
  );
}

interface LineProps {
  label: string;
  scene: Scene;
  elementId: string;
  lineId: string | null;
  onChosen: (lineId: string | null) => void;
}

/** A drawn line of the wall, or a straight one given by numbers. */
export function LineChoice({ label, scene, elementId, lineId, onChosen }: LineProps) {
  return (
    <Choice
      label={label}
      value={lineId ?? ""}
      options={[
        { value: "", label: "a straight line" },
        ...scene.elements
          .filter((other) => other.followsLines && other.id !== elementId)
          .map((other) => ({ value: other.id, label: other.name })),
      ]}
      onChosen={(id) => onChosen(id || null)}
    />
  );
}
