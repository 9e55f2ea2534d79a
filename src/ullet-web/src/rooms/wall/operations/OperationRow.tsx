import { ChevronDown, ChevronUp, Trash2, Volume2, VolumeX } from "lucide-react";
import { useEdits } from "../../../api/edits";
import type { GivenOperation, Operation, OperationRow as Row } from "../../../api/client";
import { IconButton } from "../../../parts/IconButton";
import { withChanges } from "../../../state/withChanges";
import type { ElementProps } from "../card/elementProps";
import { newest } from "../card/newest";
import { OperationNumbers } from "./OperationNumbers";

interface Props extends ElementProps {
  row: Row;
  place: number;
}

/** One operation on the card: its numbers, its place in the order, what it leaves. */
export function OperationRow({ row, place, ...props }: Props) {
  const { projectId, element } = props;
  const edits = useEdits(projectId);
  const { operation, name, standing } = row;
  const id = operation.id ?? "";
  const named = `${name.toLowerCase()} (${place + 1})`;
  const change = (next: Operation) =>
    edits.edit((now) => {
      const held = newest(now, element).operations.find((each) => each.operation.id === id);
      const wish = held ? withChanges(held.operation, operation, next) : next;
      return { edit: "changeOperation", elementId: element.id, operation: wish };
    });
  const move = (to: number) =>
    edits.edit({ edit: "moveOperation", elementId: element.id, operationId: id, place: to });
  const left = [
    row.crumbs ? `${row.crumbs} ${row.crumbs === 1 ? "crumb" : "crumbs"}` : "",
    row.thin ? `${row.thin} thin` : "",
  ].filter(Boolean);
  return (
    <li
      data-standing={standing}
      className="rounded-card border border-line p-2 data-[standing=empty]:border-madder data-[standing=muted]:bg-chalk data-[standing=tooMany]:border-madder"
    >
      <div className="flex items-center">
        <h4 className="mr-auto truncate text-[14px] font-semibold">
          <span className="mr-1 text-muted">{place + 1}</span> {name}
          {standing === "muted" ? <span className="ml-1.5 font-normal text-muted">muted</span> : null}
        </h4>
        <IconButton
          label={`Earlier: ${named}`}
          disabled={place === 0}
          className="size-7"
          onClick={() => move(place - 1)}
        >
          <ChevronUp size={16} aria-hidden />
        </IconButton>
        <IconButton
          label={`Later: ${named}`}
          disabled={place === element.operations.length - 1}
          className="size-7"
          onClick={() => move(place + 1)}
        >
          <ChevronDown size={16} aria-hidden />
        </IconButton>
        <IconButton
          label={`${operation.isMuted ? "Unmute" : "Mute"} ${named}`}
          className="size-7"
          onClick={() => change({ ...operation, isMuted: !operation.isMuted })}
        >
          {operation.isMuted ? <VolumeX size={16} aria-hidden /> : <Volume2 size={16} aria-hidden />}
        </IconButton>
        <IconButton
          label={`Remove ${named}`}
          className="size-7"
          onClick={() => edits.edit({ edit: "removeOperation", elementId: element.id, operationId: id })}
        >
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      <OperationNumbers {...props} operation={operation as GivenOperation} onChanged={change} />
      {row.note ? <p className="mt-1 text-[12px] text-muted">{row.note}</p> : null}
      {left.length ? <p className="mt-1 text-[13px] text-madder">Leaves {left.join(" and ")}.</p> : null}
    </li>
  );
}
