import { useEffect, useState } from "react";
import { answered, api, Refused } from "../../api/client";
import { useJobs, type BookOrder, type HoopingPlan } from "../../api/orders";
import { FormPanel } from "../../parts/FormPanel";

interface Props {
  projectId: string;
  orders: BookOrder[];
  onClose: () => void;
}

/** Orders that share a hoop: which lies where, how many stops that takes, and which are left out. */
export function HoopingsPanel({ projectId, orders, onClose }: Props) {
  const jobs = useJobs(projectId);
  const [plans, setPlans] = useState<HoopingPlan[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [leftOut, setLeftOut] = useState<ReadonlySet<string>>(new Set());
  const ids = orders
    .filter((order) => order.judged?.level !== "stop")
    .map((order) => order.id)
    .join(" ");

  useEffect(() => {
    if (!ids) return;
    let over = false;
    answered(
      api.POST("/api/projects/{id}/orders/hoopings", {
        params: { path: { id: projectId } },
        body: { ids: ids.split(" ") },
      }),
    )
      .then((found) => (over ? undefined : setPlans(found)))
      .catch((wrong: unknown) =>
        over
          ? undefined
          : setTrouble(wrong instanceof Refused ? wrong.message : "That could not be planned."),
      );
    return () => {
      over = true;
    };
  }, [projectId, ids]);

  const stop = plans?.find((plan) => plan.stop)?.stop;
  const toggle = (orderId: string) => {
    const next = new Set(leftOut);
    if (!next.delete(orderId)) next.add(orderId);
    setLeftOut(next);
  };
  return (
    <FormPanel
      title="Several in one hoop"
      size="large"
      action={plans && plans.length > 1 ? `Make ${plans.length} hoopings` : "Make the hooping"}
      disabled={!plans || Boolean(stop)}
      hint="Press an order to leave it out; the others keep their places."
      onSent={async () => {
        if (await jobs.begin("hoopings", ids.split(" "), { leftOut: [...leftOut] })) onClose();
      }}
      onClose={onClose}
    >
      <div className="min-h-0 flex-1 overflow-y-auto" data-state={plans || trouble ? "idle" : "busy"}>
        {trouble ? <p className="rounded-card bg-madder-pale px-3 py-2 text-madder">{trouble}</p> : null}
        {!ids ? <p>None of these orders can be made yet.</p> : null}
        {ids && !plans && !trouble ? <p className="text-muted">Laying them out…</p> : null}
        {stop ? <p className="mb-2 rounded-card bg-madder-pale px-3 py-2 text-madder">{stop}</p> : null}
        <div className="grid grid-cols-2 gap-4 max-md:grid-cols-1">
          {plans?.map((plan, i) => (
            <figure key={plan.name}>
              <Field plan={plan} leftOut={leftOut} onToggle={toggle}>
                <img
                  src={`/api/projects/${projectId}/orders/hoopings/${i + 1}/picture.png?ids=${ids.replaceAll(" ", ",")}&size=560`}
                  alt=""
                  className="absolute inset-0 size-full"
                />
              </Field>
              <figcaption className="pt-1 text-[14px]">
                <span className="font-semibold">{plan.name}</span>: {plan.seats.length} together, {plan.stops}{" "}
                stops (one alone takes {plan.stopsOfOne}), about {plan.minutes} minutes
              </figcaption>
            </figure>
          ))}
        </div>
      </div>
    </FormPanel>
  );
}

interface FieldProps {
  plan: HoopingPlan;
  leftOut: ReadonlySet<string>;
  onToggle: (orderId: string) => void;
  children: React.ReactNode;
}

/** The sewing field with its seats, each with its order's number. */
function Field({ plan, leftOut, onToggle, children }: FieldProps) {
  const share = (mm: number, of: number) => `${(mm / of) * 100}%`;
  return (
    <div
      className="relative w-full overflow-hidden rounded-card border border-line bg-chalk"
      style={{ aspectRatio: `${plan.fieldWidth} / ${plan.fieldHeight}` }}
    >
      {children}
      {plan.seats.map((seat) => {
        const isOut = leftOut.has(seat.orderId);
        return (
          <button
            key={seat.number}
            type="button"
            aria-pressed={isOut}
            aria-label={`Order ${seat.number}, ${seat.says}${isOut ? ", left out" : ""}`}
            className="absolute rounded border border-dashed border-ink/50 hover:border-indigo aria-pressed:bg-white/85"
            style={{
              left: share(seat.x - seat.width / 2 + plan.fieldWidth / 2, plan.fieldWidth),
              top: share(seat.y - seat.height / 2 + plan.fieldHeight / 2, plan.fieldHeight),
              width: share(seat.width, plan.fieldWidth),
              height: share(seat.height, plan.fieldHeight),
            }}
            onClick={() => onToggle(seat.orderId)}
          >
            <span className="absolute top-1 left-1 rounded bg-white px-1.5 text-[13px] font-semibold shadow">
              {isOut ? `${seat.number}, left out` : seat.number}
            </span>
          </button>
        );
      })}
    </div>
  );
}
