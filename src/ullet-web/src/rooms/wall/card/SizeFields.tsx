import { Lock, LockOpen } from "lucide-react";
import type { Unit } from "../../../api/client";
import { LengthField } from "../../../parts/fields/LengthField";
import { useProportions } from "./proportions";

interface Props {
  /** What they are the width and the height of: "Width of all"; nothing for one element. */
  of?: string;
  size: { width: number; height: number };
  unit: Unit;
  /** Why the proportions can only be kept; null where that can be chosen. */
  keptBecause?: string | null;
  onTyped: (side: { width: number } | { height: number }) => void;
}

/** Width and height with the lock between them, which the handles share. */
export function SizeFields({ of = "", size, unit, keptBecause = null, onTyped }: Props) {
  const { locked, setLocked } = useProportions();
  const isKept = locked || keptBecause !== null;
  const says = locked ? "Width and height change together" : "Width and height change on their own";
  return (
    <div className="grid grid-cols-[1fr_32px_1fr] items-end gap-1.5">
      <LengthField
        label={`Width${of}`}
        value={size.width}
        unit={unit}
        onTyped={(width) => onTyped({ width })}
      />
      <button
        type="button"
        aria-pressed={isKept}
        aria-label="Keep proportions"
        disabled={keptBecause !== null}
        title={keptBecause ?? says}
        className="flex h-8 items-center justify-center rounded-card text-muted hover:bg-indigo-pale aria-pressed:text-indigo"
        onClick={() => setLocked(!locked)}
      >
        {isKept ? <Lock size={16} aria-hidden /> : <LockOpen size={16} aria-hidden />}
      </button>
      <LengthField
        label={`Height${of}`}
        value={size.height}
        unit={unit}
        onTyped={(height) => onTyped({ height })}
      />
    </div>
  );
}
