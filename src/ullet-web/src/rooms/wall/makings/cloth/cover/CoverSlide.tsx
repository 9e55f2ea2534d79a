import type { NumberRange } from "../../../../../api/client";
import { SlideField } from "../../../../../parts/fields/SlideField";
import type { CoverProps } from "./coverProps";

type NumberName = "width" | "spacing" | "insideShare" | "compensation" | "unitLength" | "inset";

interface Props extends Pick<CoverProps, "cover" | "take" | "slide"> {
  name: NumberName;
  label: string;
  range: NumberRange;
  /** Slides no farther than this, though more can be typed. */
  most?: number;
  step: number;
  digits?: number;
  ends: [string, string];
  hint?: string;
  /** True for a share, which is shown in per cent. */
  percent?: boolean;
}

/** One number of a cover: drawn while it slides, saved when it is let go. */
export function CoverSlide({
  name,
  label,
  range,
  most,
  step,
  digits = 1,
  ends,
  hint,
  percent,
  ...on
}: Props) {
  const factor = percent ? 100 : 1;
  return (
    <SlideField
      label={label}
      value={percent ? Math.round(on.cover[name] * factor) : on.cover[name]}
      least={range.least * factor}
      most={(most ?? range.most) * factor}
      step={step}
      unit={percent ? "%" : "mm"}
      digits={digits}
      ends={ends}
      hint={hint}
      onSlide={(value) => on.slide({ [name]: value / factor })}
      onTaken={(value) => on.take({ [name]: value / factor })}
    />
  );
}
