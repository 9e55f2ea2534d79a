import type { ReactNode } from "react";
import { useWished } from "./useWished";

interface Props {
  label: ReactNode;
  /** What it means, under the label. */
  about?: string;
  checked: boolean;
  disabled?: boolean;
  className?: string;
  onChanged: (checked: boolean) => unknown;
}

/** A box to tick. */
export function Tick({ label, about, checked, disabled, className = "text-[14px]", onChanged }: Props) {
  const [shown, choose] = useWished(checked, onChanged);
  return (
    <label className={`flex min-w-0 items-start gap-2 ${className}`}>
      <input
        type="checkbox"
        className="mt-[3px] size-4 shrink-0 accent-indigo"
        checked={shown}
        disabled={disabled}
        onChange={(event) => choose(event.target.checked)}
      />
      <span className="min-w-0 flex-1">
        {label}
        {about ? <span className="block text-[13px] text-muted">{about}</span> : null}
      </span>
    </label>
  );
}
