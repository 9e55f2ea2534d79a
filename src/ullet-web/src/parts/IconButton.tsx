import { Tooltip } from "radix-ui";
import type { ButtonHTMLAttributes, ReactNode } from "react";

interface Props extends ButtonHTMLAttributes<HTMLButtonElement> {
  label: string;
  /** Shown with the label in the tooltip. */
  keys?: string;
  side?: "top" | "right" | "bottom" | "left";
  children: ReactNode;
}

/** A button with a picture; its name is its label for all who can't see it, and its tooltip for all who can. */
export function IconButton({ label, keys, side = "bottom", children, className = "", ...rest }: Props) {
  return (
    <Tooltip.Root>
      <Tooltip.Trigger asChild>
        <button
          type="button"
          aria-label={label}
          {...rest}
          className={`inline-flex size-8 items-center justify-center rounded-card hover:bg-indigo-pale disabled:opacity-35 disabled:hover:bg-transparent ${className}`}
        >
          {children}
        </button>
      </Tooltip.Trigger>
      <Tooltip.Portal>
        <Tooltip.Content
          side={side}
          sideOffset={6}
          className="z-50 rounded-md bg-ink px-2 py-1 text-[13px] text-white"
        >
          {label}
          {keys ? <span className="ml-2 text-line">{keys}</span> : null}
        </Tooltip.Content>
      </Tooltip.Portal>
    </Tooltip.Root>
  );
}
