import { HardDrive } from "lucide-react";
import { useRoom } from "../../api/queries";
import { Button } from "../../parts/Button";
import { bytes } from "../../state/bytes";

/** The room that Ullet's data take, and what the disk has left. */
export function RoomLine({ onOpen }: { onOpen: () => void }) {
  const room = useRoom();
  if (!room.data) return null;
  const little = room.data.isLittle;
  return (
    <p className="mt-8 flex items-center gap-3 text-[14px] text-muted" data-little={little || undefined}>
      <HardDrive size={16} aria-hidden />
      <span>
        Ullet’s data take {bytes(room.data.total)};{" "}
        <span className={little ? "font-semibold text-madder" : ""}>
          {little ? "only " : ""}
          {bytes(room.data.diskFree)} are free on the disk.
        </span>
      </span>
      <Button onClick={onOpen}>Make room</Button>
    </p>
  );
}
