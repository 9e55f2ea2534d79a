import type { Schemas } from "../../../../api/client";

/** How the cut edge lies under the opened border that is to cover it. */
export function BorderFacts({ border }: { border: NonNullable<Schemas["BorderDto"]> }) {
  return (
    <p className={`text-[14px] ${border.holds ? "" : "text-madder"}`}>
      {border.covered >= 0.9995
        ? `Its edge lies under ${border.name} all round: at the worst place ${border.bite.toFixed(1)} mm of the border lie inside it and ${border.outside.toFixed(1)} mm outside.`
        : `${Math.round(border.covered * 100)} % of its edge lie under ${border.name}.`}
    </p>
  );
}
