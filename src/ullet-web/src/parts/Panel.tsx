import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

interface Props {
  title: string;
  /** Large: for choosing among pictures. */
  size?: "small" | "large";
  onClose: () => void;
  children: ReactNode;
}

/** A dialog in the middle of the screen, there as long as it is drawn. */
export function Panel({ title, size = "small", onClose, children }: Props) {
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
          <Dialog.Title className="mb-3 font-head text-[20px] font-semibold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
