import { useEdits } from "../../api/edits";
import { useCatalogue } from "../../api/queries";
import { type ClothCut, type MatPhoto, type Scene } from "../../api/client";
import { Button } from "../../parts/Button";
import { LengthField } from "../../parts/fields/LengthField";
import { PhotoChooser } from "../../parts/PhotoChooser";
import { heldCloth } from "./heldCloth";

interface Props {
  projectId: string;
  scene: Scene;
  cloth: ClothCut;
}

/** A photo of printed cloth that lies on the mat, to put shapes where the print is. */
export function MatPhotoFields({ projectId, scene, cloth }: Props) {
  const edits = useEdits(projectId);
  const prints = useCatalogue().data?.matPrints ?? [];
  const photo = cloth.cut.photo ?? null;
  const set = (next: MatPhoto | null) =>
    edits.edit({ edit: "setMatPhoto", clothId: cloth.clothId, photo: next });

  const change = (held: MatPhoto, part: Partial<MatPhoto>) =>
    edits.edit((now) => ({
      edit: "setMatPhoto",
      clothId: cloth.clothId,
      photo: { ...(heldCloth(now, cloth).cut.photo ?? held), ...part },
    }));

  return (
    <fieldset className="space-y-2">
      <legend className="font-semibold">Photo of the printed cloth</legend>
      {photo ? (
        <>
          <div className="grid grid-cols-3 gap-2">
            <LengthField
              label="Shows across"
              value={photo.width}
              unit={scene.unit}
              onTyped={(width) => change(photo, { width })}
            />
            <LengthField
              label="From left"
              value={photo.x}
              unit={scene.unit}
              onTyped={(x) => change(photo, { x })}
            />
            <LengthField
              label="From top"
              value={photo.y}
              unit={scene.unit}
              onTyped={(y) => change(photo, { y })}
            />
          </div>
          <Button onClick={() => set(null)}>Take the photo off</Button>
        </>
      ) : (
        <div className="flex flex-wrap gap-2">
          {prints.map((print) => (
            <Button
              key={print.id}
              onClick={() => set({ picture: print.id, width: print.width, x: 10, y: 10 })}
            >
              {print.name}
            </Button>
          ))}
          <PhotoChooser
            label="Photo of the printed cloth"
            onBrought={(picture) => void set({ picture, width: 280, x: 10, y: 10 })}
          >
            {(open) => <Button onClick={open}>Your own photo</Button>}
          </PhotoChooser>
        </div>
      )}
      <p className="text-[13px] text-muted">Lay shapes by eye where the print suits them, by dragging.</p>
    </fieldset>
  );
}
