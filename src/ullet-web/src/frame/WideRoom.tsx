import { useSyncExternalStore, type ReactNode } from "react";
import { Link, useParams } from "react-router";
import { buttonClass } from "../parts/Button";

interface Props {
  name: string;
  children: ReactNode;
}

const NARROW = "(max-width: 767px)";

function watch(changed: () => void) {
  const query = window.matchMedia(NARROW);
  query.addEventListener("change", changed);
  return () => query.removeEventListener("change", changed);
}

/** A room that needs 768 pixels across; on less it says so, and where one can go instead. */
export function WideRoom({ name, children }: Props) {
  const { id = "" } = useParams();
  const isNarrow = useSyncExternalStore(watch, () => window.matchMedia(NARROW).matches);
  if (!isNarrow) return children;
  return (
    <main className="min-h-0 flex-1 space-y-4 overflow-y-auto p-5" data-state="idle">
      <h1 className="font-head text-[22px] font-semibold">{name} wants more room</h1>
      <p>
        It works on screens from 768 pixels wide on: turn this one sideways, or open Ullet on a larger one.
        Rehearsal, Packet and the card work here.
      </p>
      <p className="flex flex-wrap gap-2">
        <a className={buttonClass("main")} href={`/card/${id}`}>
          Open the card
        </a>
        <Link className={buttonClass("plain")} to={`/p/${id}/rehearsal`}>
          Rehearsal
        </Link>
        <Link className={buttonClass("plain")} to={`/p/${id}/packet`}>
          Packet
        </Link>
      </p>
    </main>
  );
}
