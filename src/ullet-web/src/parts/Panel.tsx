import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  title: string;
  open: boolean;
  onOpenChange: (open: boolean) => void;
  children: ReactNode;
}

/** A dialog in the middle of the screen. */
export function Panel({ title, open, onOpenChange, children }: Props) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/35" />
        <Dialog.Content
          aria-describedby={undefined}
          onKeyDown={(event) => event.stopPropagation()}
          className="fixed top-1/2 left-1/2 z-50 w-[460px] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 rounded-card bg-white p-5 shadow-lg"
        >
          <Dialog.Title className="mb-3 font-head text-[20px] font-semibold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
