import type { Cloth } from "../../api/client";
import { Button } from "../Button";
import { NumberField } from "../fields/NumberField";
import { PhotoChooser } from "../PhotoChooser";

interface Props {
  cloth: Pick<Cloth, "name" | "swatch">;
  onChanged: (swatch: Cloth["swatch"]) => void;
}

const USUAL_WIDTH = 100;

/** A photo of the cloth and how much of it the photo shows. */
export function ClothPhoto({ cloth, onChanged }: Props) {
  const { swatch } = cloth;

  return (
    <div className="flex items-end gap-3">
      {swatch ? (
        <img
          src={`/api/assets/${swatch.assetId}`}
          alt={`Photo of ${cloth.name || "the cloth"}`}
          className="size-14 rounded-card border border-line object-cover"
        />
      ) : null}
      {swatch ? (
        <NumberField
          label="The photo shows, across"
          value={swatch.widthMm}
          unit="mm"
          onTyped={(widthMm) => onChanged({ ...swatch, widthMm })}
        />
      ) : (
        <p className="mr-auto text-[13px] text-muted">A photo of the cloth, laid flat, shows it as it is.</p>
      )}
      <PhotoChooser
        label="Photo of the cloth"
        onBrought={(assetId) => onChanged({ assetId, widthMm: swatch?.widthMm ?? USUAL_WIDTH })}
      >
        {(open) => <Button onClick={open}>{swatch ? "Another photo" : "Add a photo"}</Button>}
      </PhotoChooser>
      {swatch ? <Button onClick={() => onChanged(null)}>No photo</Button> : null}
    </div>
  );
}
