import { importFile, Refused, type Cloth } from "../../../api/client";
import { Button } from "../../../parts/Button";
import { FileChooser } from "../../../parts/fields/FileChooser";
import { NumberField } from "../../../parts/fields/NumberField";
import { say } from "../../../state/messages";

interface Props {
  cloth: Cloth;
  onChanged: (swatch: Cloth["swatch"]) => void;
}

const USUAL_WIDTH = 100;

/** A photo of the cloth and how much of it the photo shows. */
export function ClothPhoto({ cloth, onChanged }: Props) {
  const { swatch } = cloth;

  const take = async (file: File) => {
    try {
      const { token, picture } = await importFile(file);
      if (!picture)
        throw new Refused(`"${file.name}" is no picture; choose a PNG or a JPEG.`, "picture-foreign");
      onChanged({ assetId: token, widthMm: swatch?.widthMm ?? USUAL_WIDTH });
    } catch (wrong) {
      say(wrong instanceof Refused ? wrong.message : "That picture can’t be read.", "trouble");
    }
  };

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
      <FileChooser label="Photo of the cloth" accept=".png,.jpg,.jpeg" onChosen={take}>
        {(open) => <Button onClick={open}>{swatch ? "Another photo" : "Add a photo"}</Button>}
      </FileChooser>
      {swatch ? <Button onClick={() => onChanged(null)}>No photo</Button> : null}
    </div>
  );
}
