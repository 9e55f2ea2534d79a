import { ChevronDown } from "lucide-react";
import { useState, type ReactNode } from "react";

interface Props {
  title: string;
  /** Shown beside the title while it is closed. */
  brief?: string;
  startsOpen?: boolean;
  children: ReactNode;
}

/** A part of a card that opens and closes. */
export function Section({ title, brief, startsOpen = true, children }: Props) {
  const [open, setOpen] = useState(startsOpen);
  return (
    <section className="border-t border-line first:border-t-0">
      <h3>
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex w-full items-center gap-2 px-4 py-2 text-left font-semibold hover:bg-chalk"
        >
          <ChevronDown size={16} className={open ? "" : "-rotate-90"} aria-hidden />
          {title}
          {open || !brief ? null : (
            <span className="ml-auto truncate text-[13px] font-normal text-muted">{brief}</span>
          )}
        </button>
      </h3>
      {open ? <div className="space-y-2.5 px-4 pb-3">{children}</div> : null}
    </section>
  );
}
