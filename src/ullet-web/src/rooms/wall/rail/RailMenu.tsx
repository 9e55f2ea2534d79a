import type { LucideIcon } from "lucide-react";
import { Popover } from "radix-ui";
import type { ReactNode } from "react";
import { mainContainer } from "../../../parts/mainContainer";

/** How a verb of the rail looks. */
export const VERB =
  "flex w-[60px] flex-col items-center rounded-card py-1 text-[13px] leading-tight font-medium hover:bg-indigo-pale data-[state=open]:bg-indigo-pale aria-pressed:bg-indigo aria-pressed:text-white";

interface Props {
  icon: LucideIcon;
  label: string;
  /** What the menu is called for those who hear it. */
  title: string;
  pressed?: boolean;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
}

/** A verb of the rail that opens a choice beside it. */
export function RailMenu({ icon: Icon, label, title, pressed, open, onOpenChange, children }: Props) {
  return (
    <Popover.Root open={open} onOpenChange={onOpenChange}>
      <Popover.Trigger className={VERB} aria-pressed={pressed}>
        <Icon size={21} aria-hidden />
        {label}
      </Popover.Trigger>
      <Popover.Portal container={mainContainer()}>
        <Popover.Content
          side="right"
          align="start"
          sideOffset={8}
          aria-label={title}
          className="z-40 rounded-card border border-line bg-white p-2 shadow-lg"
        >
          {children}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
