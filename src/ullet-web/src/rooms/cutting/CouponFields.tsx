import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { useEdits } from "../../api/edits";
import { answered, api } from "../../api/client";
import { Button } from "../../parts/Button";
import { PlainField } from "../../parts/fields/PlainField";
import { say } from "../../state/messages";
import type { TableProps } from "./tableProps";

const READINGS = [
  { key: "ringWidth", label: "Width of the large ring as cut (50 mm was asked)" },
  { key: "widestGap", label: "Widest gap between a laid edge and its placement line" },
  { key: "trimLeast", label: "Trimmed edge, nearest to its tack-down" },
  { key: "trimMost", label: "Trimmed edge, farthest from its tack-down" },
  { key: "barLength", label: "Length of the long bar after the cover (80 mm was cut)" },
] as const;

/** The coupon: make it, sew it, measure it, type what was read. */
export function CouponFields({ projectId, cloth }: TableProps) {
  const edits = useEdits(projectId);
  const go = useNavigate();
  const [reading, setReading] = useState(false);
  const [typed, setTyped] = useState<Record<string, string>>({});
  const make = useMutation({
    mutationFn: () =>
      answered(
        api.POST("/api/projects/{id}/coupon", {
          params: { path: { id: projectId } },
          body: { clothId: cloth.clothId },
        }),
      ),
    onSuccess: (made) => void go(`/p/${made.id}/wall`),
    onError: (wrong) => say(wrong.message, "trouble"),
  });

  const take = async () => {
    const numbers: Record<string, number> = {};
    for (const { key, label } of READINGS) {
      const text = (typed[key] ?? "").trim().replace(",", ".");
      if (text === "") continue;
      const value = Number(text);
      if (!Number.isFinite(value)) {
        say(`"${text.slice(0, 24)}" is not a number for: ${label.toLowerCase()}.`, "trouble");
        return;
      }
      numbers[key] = value;
    }
    const done = await edits.edit({ edit: "readCoupon", clothId: cloth.clothId, reading: numbers });
    if (done) {
      setReading(false);
      setTyped({});
    }
  };

  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">Coupon</legend>
      <p className="text-[13px] text-muted">
        Nested rings and bars with marked margins. Cut and sew it in {cloth.name}, measure it, and type what
        you read: the edge match then reckons with your cutter and your hands.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button disabled={make.isPending} onClick={() => make.mutate()}>
          Make a coupon
        </Button>
        <Button aria-expanded={reading} onClick={() => setReading(!reading)}>
          Type what I read
        </Button>
      </div>
      {reading ? (
        <form
          className="space-y-2"
          onSubmit={(event) => {
            event.preventDefault();
            void take();
          }}
        >
          {READINGS.map(({ key, label }) => (
            <PlainField
              key={key}
              label={label}
              unit="mm"
              beside
              value={typed[key] ?? ""}
              onChange={(text) => setTyped((now) => ({ ...now, [key]: text }))}
            />
          ))}
          <Button type="submit" look="main">
            Take the readings
          </Button>
        </form>
      ) : null}
    </fieldset>
  );
}
