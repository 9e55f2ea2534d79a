import { X } from "lucide-react";
import { Dialog } from "radix-ui";
import type { ReactNode } from "react";
import { IconButton } from "./IconButton";

interface Props {
  title: string;
  /** Large: for choosing among pictures. */
  size?: "small" | "large";
  onClose: () => void;
  /** True where leaving it lets go of what was typed in it; else that is kept, as by any other click. */
  letsGo?: boolean;
  /** Stands beside the title. */
  extra?: ReactNode;
  children: ReactNode;
}

/** A dialog in the middle of the screen, there as long as it is drawn. */
export function Panel({ title, size = "small", onClose, letsGo, extra, children }: Props) {
  return (
    <Dialog.Root open onOpenChange={(open) => (open ? undefined : onClose())}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Dialog.Content
          aria-describedby={undefined}
          onKeyDown={(event) => event.stopPropagation()}
          data-size={size}
          className="fixed top-1/2 left-1/2 z-50 flex max-h-[94vh] w-[460px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 flex-col rounded-card bg-white p-5 shadow-lg data-[size=large]:h-[720px] data-[size=large]:w-[960px]"
        >
          <div className="mb-3 flex items-start gap-3 pr-9">
            <Dialog.Title className="mr-auto font-head text-[20px] font-semibold">{title}</Dialog.Title>
            {extra}
          </div>
          {children}
          {/* The first thing that Tab comes to stays what the panel is about. */}
          <div className="absolute top-3.5 right-3.5">
            <IconButton
              label={`Close: ${title}`}
              side="left"
              data-lets-go={letsGo || undefined}
              onClick={onClose}
            >
              <X size={18} aria-hidden />
            </IconButton>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
