import { useQuery } from "@tanstack/react-query";
import { answered, api, type Edit, type Schemas, type Unit } from "../api/client";
import { useCatalogue } from "../api/queries";
import { sizeText } from "../state/lengths";

export type OwnHoop = Schemas["OwnHoop"];

export const HOOPS_KEY = ["hoops"];

/** The hoops of one's own. */
export function useOwnHoops(): OwnHoop[] {
  const hoops = useQuery({
    queryKey: HOOPS_KEY,
    queryFn: ({ signal }) => answered(api.GET("/api/hoops", { signal })),
  });
  return hoops.data ?? [];
}

/** A hoop that can be chosen. */
export interface HoopOption {
  /** Names it in a list. */
  key: string;
  label: string;
  /** The same as shortly as it can be. */
  brief: string;
  width: number;
  height: number;
  own: OwnHoop | null;
}

/** The hoops to choose from: those of one's own first, then the trade's. */
export function useHoopOptions(unit: Unit): HoopOption[] {
  const own = useOwnHoops();
  const trade = useCatalogue().data?.hoops ?? [];
  return [
    ...own.map((each) => ({
      key: each.id,
      label: `${each.hoop.name} (${sizeText(each.hoop.fieldWidth, each.hoop.fieldHeight, unit)})`,
      brief: each.hoop.name,
      width: each.hoop.fieldWidth,
      height: each.hoop.fieldHeight,
      own: each,
    })),
    ...trade.map((each) => ({
      key: `${each.fieldWidth}x${each.fieldHeight}`,
      label: hoopText(each, unit),
      brief: sizesOf(each, unit)[0],
      width: each.fieldWidth,
      height: each.fieldHeight,
      own: null,
    })),
  ];
}

/** A hoop as its owners call it, in the shown unit first. */
export const hoopText = (hoop: Sized, unit: Unit): string => sizesOf(hoop, unit).join(" · ");

interface Sized {
  fieldWidth: number;
  fieldHeight: number;
  inches?: string | null;
}

/** A hoop's size in the shown unit, then in the other one. */
function sizesOf(hoop: Sized, unit: Unit): [string, string] {
  const mm = `${plain(hoop.fieldWidth)} × ${plain(hoop.fieldHeight)} mm`;
  const inches = hoop.inches ? `${hoop.inches} in` : sizeText(hoop.fieldWidth, hoop.fieldHeight, "inch");
  return unit === "inch" ? [inches, mm] : [mm, inches];
}

const plain = (mm: number) => String(Math.round(mm * 10) / 10);

/** The edit that takes a hoop with all that is known of it. */
export const hooped = (hoop: OwnHoop["hoop"]): Edit => ({
  edit: "setHooping",
  fieldWidth: hoop.fieldWidth,
  fieldHeight: hoop.fieldHeight,
  hoopName: hoop.name,
  middleX: hoop.middleX ?? 0,
  middleY: hoop.middleY ?? 0,
  marginAcross: hoop.marginAcross ?? 0,
  marginDown: hoop.marginDown ?? 0,
});
