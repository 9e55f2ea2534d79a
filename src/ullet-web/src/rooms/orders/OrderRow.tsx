import { Check, Clock3, History, TriangleAlert, X } from "lucide-react";
import type { ReactNode } from "react";
import type { BookOrder } from "../../api/orders";
import { Tick } from "../../parts/fields/Tick";
import type { Column } from "./columns";
import { ROW_HEIGHT } from "./rowHeight";

interface Props {
  projectId: string;
  order: BookOrder;
  index: number;
  columns: Column[];
  isAt: boolean;
  isInRange: boolean;
  /** The column at which the table's cell is. */
  column: number;
  isTicked: boolean;
  editor: { column: string; draw: (column: Column) => ReactNode } | null;
  onTicked: () => void;
  onCell: (column: number) => void;
  onEdit: (column: number) => void;
}

/** A row of the book: its picture, its cells, and how it was judged. */
export function OrderRow(props: Props) {
  const { projectId, order, index, columns, isAt, isTicked, editor } = props;
  const level = order.judged?.level;
  return (
    <div
      role="row"
      aria-rowindex={index + 2}
      aria-selected={isTicked}
      data-order={order.id}
      data-level={level ?? "unknown"}
      className="absolute flex w-max min-w-full items-stretch border-b border-line data-[level=stop]:bg-madder-pale aria-selected:bg-indigo-pale"
      style={{ top: index * ROW_HEIGHT, height: ROW_HEIGHT }}
    >
      <span role="gridcell" className="flex w-9 shrink-0 items-center justify-center">
        <Tick
          label={<span className="sr-only">Choose order {order.number}</span>}
          checked={isTicked}
          onChanged={props.onTicked}
        />
      </span>
      <span role="gridcell" className="flex w-[88px] shrink-0 items-center gap-1 px-1">
        <Picture projectId={projectId} order={order} />
        <Level order={order} />
      </span>
      {columns.map((column, i) => {
        const trouble = order.judged?.outcomes.find((outcome) => outcome.fillInId === column.id)?.trouble;
        const rule = order.judged?.outcomes.find((outcome) => outcome.fillInId === column.id)?.rule;
        const isCell = isAt && props.column === i;
        return (
          <span
            key={column.id}
            role="gridcell"
            tabIndex={isCell ? 0 : -1}
            data-column={column.id}
            data-in-range={(props.isInRange && props.column === i) || undefined}
            aria-label={told(column, order, rule, trouble)}
            aria-invalid={trouble ? true : undefined}
            title={trouble ?? (rule ? `Set ${rule}` : undefined)}
            className="relative flex shrink-0 flex-col justify-center overflow-hidden border-l border-line/60 px-2 leading-tight outline-offset-[-2px] aria-invalid:shadow-[inset_3px_0_0_var(--color-madder)] data-in-range:bg-indigo-pale"
            style={{ width: column.width }}
            onFocus={() => props.onCell(i)}
            onMouseDown={() => props.onCell(i)}
            onDoubleClick={() => props.onEdit(i)}
          >
            {editor?.column === column.id ? (
              editor.draw(column)
            ) : (
              <>
                <span className="truncate">
                  {column.of(order) || <span className="text-muted">{column.hint ?? ""}</span>}
                </span>
                {rule ? <span className="truncate text-[12px] text-muted">{rule}</span> : null}
              </>
            )}
          </span>
        );
      })}
    </div>
  );
}

/** A cell in words: all that is seen of it, and what stands against it. */
function told(
  column: Column,
  order: BookOrder,
  rule: string | undefined,
  trouble: string | null | undefined,
) {
  const said = column.of(order) || (column.hint ? `as in the project, ${column.hint}` : "empty");
  return `${column.label}, order ${order.number}: ${[said, rule, trouble].filter(Boolean).join(". ")}`;
}

function Picture({ projectId, order }: { projectId: string; order: BookOrder }) {
  if (!order.judged?.stitches)
    return <span className="h-9 w-[58px] shrink-0 rounded border border-dashed border-field" aria-hidden />;
  return (
    <img
      loading="lazy"
      src={`/api/projects/${projectId}/orders/${order.id}/picture.png?size=120&v=${order.judged.look}`}
      alt=""
      className="h-9 w-[58px] shrink-0 rounded object-cover"
    />
  );
}

/** How it was judged, as a sign with words for those who can't see it. */
function Level({ order }: { order: BookOrder }) {
  const judged = order.judged;
  const [said, sign] = !judged
    ? ["not judged yet", <Clock3 key="s" size={14} className="text-muted" aria-hidden />]
    : judged.level === "stop"
      ? ["can’t be made", <X key="s" size={15} className="text-madder" aria-hidden />]
      : judged.differs
        ? ["would come out differently", <History key="s" size={15} className="text-indigo" aria-hidden />]
        : judged.level === "warn"
          ? ["look at it", <TriangleAlert key="s" size={14} className="text-marigold" aria-hidden />]
          : ["fine", <Check key="s" size={14} className="text-verdigris" aria-hidden />];
  return (
    <span title={said as string}>
      {sign}
      <span className="sr-only">{said}</span>
    </span>
  );
}
