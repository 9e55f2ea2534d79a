import type { Lane, OrderedStep } from "../../api/client";

interface Props {
  lanes: Lane[];
  step: OrderedStep;
  number: number;
}

/** The layers as seen from the side once a step is done: the topmost first. */
export function SideView({ lanes, step, number }: Props) {
  return (
    <div className="w-[236px] shrink-0">
      <h3 className="mb-1 text-[14px] font-semibold">In the hoop after step {number}</h3>
      {step.order.stack.length === 0 ? (
        <p className="text-[14px] text-muted">Nothing lies in the hoop yet.</p>
      ) : (
        <ol className="space-y-[3px]">
          {step.order.stack.map(({ lane, faceUp }) => {
            const layer = lanes[lane];
            if (!layer) return null;
            const pierced = step.order.pierced.includes(lane);
            return (
              <li key={layer.layerId} className="flex items-center gap-2 text-[13px]">
                <span
                  aria-hidden
                  className="h-4 w-[72px] shrink-0 rounded-[4px] border border-ink/40 data-[down]:opacity-55"
                  data-down={!faceUp || undefined}
                  style={{ backgroundColor: layer.colour }}
                />
                <span className="min-w-0 truncate" data-pierced={pierced || undefined}>
                  {layer.name}
                </span>
                <span className="ml-auto shrink-0 text-[12px] text-muted">
                  {faceUp ? "face up" : "face down"}
                  {layer.isBehind ? ", behind" : ""}
                </span>
              </li>
            );
          })}
        </ol>
      )}
    </div>
  );
}
