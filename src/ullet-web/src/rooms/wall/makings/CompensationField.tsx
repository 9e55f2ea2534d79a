import { useCatalogue } from "../../../api/queries";
import { SlideField } from "../../../parts/fields/SlideField";

interface Props {
  value: number;
  /** Where it is added: "on each side". */
  where: string;
  onSlide: (value: number) => unknown;
  onTaken: (value: number) => unknown;
}

/** What is added because thread draws edges in. */
export function CompensationField({ value, where, onSlide, onTaken }: Props) {
  const range = useCatalogue().data?.compensation;
  if (!range) return null;
  return (
    <SlideField
      label="Compensation"
      value={value}
      least={range.least}
      most={range.most}
      step={0.05}
      unit="mm"
      digits={2}
      ends={["less", "more"]}
      hint={`added ${where}, because thread draws the edges in`}
      onSlide={onSlide}
      onTaken={onTaken}
    />
  );
}
