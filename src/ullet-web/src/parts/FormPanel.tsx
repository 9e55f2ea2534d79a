import type { ReactNode } from "react";
import { Button } from "./Button";
import { Panel } from "./Panel";

interface Props {
  title: string;
  size?: "small" | "large";
  /** On the button that sends it. */
  action: string;
  disabled?: boolean;
  /** Said beside the buttons. */
  hint?: string;
  /** Called when it is sent; it closes itself where that went well. */
  onSent: () => unknown;
  onClose: () => void;
  children: ReactNode;
}

/** A dialog that asks for something: sent by its button or by Enter, left by Cancel, which lets go of what was typed. */
export function FormPanel({ title, size, action, disabled, hint, onSent, onClose, children }: Props) {
  return (
    <Panel title={title} size={size} onClose={onClose} letsGo>
      <form
        className="flex min-h-0 flex-1 flex-col gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          onSent();
        }}
      >
        {children}
        <div className="flex items-center justify-end gap-2">
          {hint ? <p className="mr-auto text-[13px] text-muted">{hint}</p> : null}
          <Button data-lets-go onClick={onClose}>
            Cancel
          </Button>
          <Button look="main" type="submit" disabled={disabled}>
            {action}
          </Button>
        </div>
      </form>
    </Panel>
  );
}
