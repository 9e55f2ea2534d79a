import { useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answered, api, Refused, type RoomUsed } from "../../api/client";
import { keys, useRoom } from "../../api/queries";
import { Button } from "../../parts/Button";
import { Tick } from "../../parts/fields/Tick";
import { Panel } from "../../parts/Panel";
import { bytes } from "../../state/bytes";
import { say } from "../../state/messages";

type Part = "unused" | "bin" | "history" | "handed";

const PARTS: { id: Part; name: string; about: string }[] = [
  {
    id: "unused",
    name: "Unused files",
    about: "Imported drawings, pictures and removed fonts that no project names any more.",
  },
  { id: "bin", name: "The bin", about: "Deleted projects; they can’t be put back afterwards." },
  {
    id: "history",
    name: "Older states",
    about: "Undo further back than 30 steps; every day’s last state and those with a name stay.",
  },
  {
    id: "handed",
    name: "Files handed out before",
    about: "The newest of each name stays, to be had again byte for byte.",
  },
];

/** What takes room in the data folder, and what may be cleared. */
export function RoomPanel({ onClose }: { onClose: () => void }) {
  const room = useRoom();
  const queries = useQueryClient();
  const [chosen, setChosen] = useState<Record<Part, boolean>>({
    unused: true,
    bin: false,
    history: false,
    handed: false,
  });
  const [busy, setBusy] = useState(false);

  const clear = async () => {
    setBusy(true);
    try {
      const before = room.data?.total ?? 0;
      const after = await answered(api.POST("/api/room", { body: chosen }));
      queries.setQueryData(keys.room, after);
      await queries.invalidateQueries({ queryKey: keys.shelf });
      say(
        after.total < before ? `${bytes(before - after.total)} were cleared.` : "There was nothing to clear.",
      );
      onClose();
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That could not be done.", "trouble");
    } finally {
      setBusy(false);
    }
  };

  return (
    <Panel title="Make room" onClose={onClose} letsGo>
      {room.data ? <Facts room={room.data} /> : <p className="text-muted">Looking through the data…</p>}
      <fieldset className="mt-4 space-y-2">
        <legend className="mb-1 text-[13px] text-muted">Clear</legend>
        {PARTS.map((part) => (
          <div key={part.id} className="flex items-start gap-2">
            <Tick
              label={<span className="font-medium">{part.name}</span>}
              about={part.about}
              className="flex-1"
              checked={chosen[part.id]}
              onChanged={(on) => setChosen({ ...chosen, [part.id]: on })}
            />
            <span className="whitespace-nowrap">{room.data ? bytes(room.data[part.id]) : ""}</span>
          </div>
        ))}
      </fieldset>
      <div className="mt-4 flex justify-end gap-2">
        <Button data-lets-go onClick={onClose}>
          Cancel
        </Button>
        <Button
          look="main"
          disabled={busy || !Object.values(chosen).some(Boolean)}
          onClick={() => void clear()}
        >
          Make room
        </Button>
      </div>
    </Panel>
  );
}

function Facts({ room }: { room: RoomUsed }) {
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 rounded-card bg-chalk px-4 py-3">
      <dt>All of Ullet’s data</dt>
      <dd className="text-right font-semibold">{bytes(room.total)}</dd>
      <dt className="text-muted">Projects as they are</dt>
      <dd className="text-right">{bytes(room.projects)}</dd>
      <dt className="text-muted">Fonts and pictures in use</dt>
      <dd className="text-right">{bytes(room.files)}</dd>
      <dt className="text-muted">Free on the disk</dt>
      <dd className="text-right">{bytes(room.diskFree)}</dd>
    </dl>
  );
}
