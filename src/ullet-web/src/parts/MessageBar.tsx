import { X } from "lucide-react";
import { useMessages } from "../state/messages";
import { Button } from "./Button";

/** Sentences that come and go at the bottom of the screen. */
export function MessageBar() {
  const { list, drop } = useMessages();
  return (
    <div
      role="status"
      aria-live="polite"
      className="pointer-events-none fixed right-[350px] bottom-28 left-[76px] z-[60] flex flex-col items-center gap-2"
    >
      {list.map((message) => (
        <div
          key={message.id}
          data-tone={message.tone}
          className="pointer-events-auto flex max-w-[680px] items-center gap-3 rounded-card border border-ink bg-ink py-2 pr-2 pl-4 text-white shadow-lg data-[tone=trouble]:border-madder data-[tone=trouble]:bg-madder-pale data-[tone=trouble]:text-ink"
        >
          <span>{message.text}</span>
          {message.action ? (
            <Button
              className="text-ink"
              onClick={() => {
                message.action?.run();
                drop(message.id);
              }}
            >
              {message.action.label}
            </Button>
          ) : null}
          <button
            type="button"
            aria-label="Close this message"
            className="rounded p-1"
            onClick={() => drop(message.id)}
          >
            <X size={16} aria-hidden />
          </button>
        </div>
      ))}
    </div>
  );
}
