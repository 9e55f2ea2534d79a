import { Pencil, Plus, Trash2 } from "lucide-react";
import { useState } from "react";
import type { StashCloth } from "../../api/client";
import { useCatalogue, useStashCloths } from "../../api/queries";
import { Button } from "../../parts/Button";
import { PlainField } from "../../parts/fields/PlainField";
import { IconButton } from "../../parts/IconButton";
import { ClothPicture } from "../../parts/stuff/ClothPicture";
import { clothFacts } from "../../parts/stuff/clothFacts";
import { useMore } from "../../parts/useMore";
import { EmptyStash } from "./EmptyStash";
import { OwnClothPanel } from "./OwnClothPanel";
import { useStash } from "./useStash";

const AT_ONCE = 60;

/** The cloths of the stash as swatches. */
export function ClothList() {
  const [search, setSearch] = useState("");
  const [asked, setAsked] = useState<"new" | StashCloth | null>(null);
  const all = useStashCloths("").data ?? [];
  const found = useStashCloths(search).data ?? [];
  const [shown, sentinel] = useMore(found, AT_ONCE);
  const { removeCloth } = useStash();
  const kinds = useCatalogue().data?.clothKinds ?? [];
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-3">
        <PlainField
          label="Search the cloths"
          className="w-[300px] max-md:w-full"
          value={search}
          placeholder="a name, a kind, a note …"
          onChange={setSearch}
        />
        <Button look="main" className="ml-auto" onClick={() => setAsked("new")}>
          <Plus size={16} aria-hidden />
          New cloth
        </Button>
      </div>
      {all.length === 0 ? (
        <EmptyStash
          words="No cloths yet. Add what lies on the shelf: its kind, a photo, its width and what is left of it."
          action="New cloth"
          onAdd={() => setAsked("new")}
        />
      ) : (
        <div
          className="min-h-0 flex-1 overflow-y-auto"
          tabIndex={0}
          role="region"
          aria-label="Cloths of the stash"
        >
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-3">
            {shown.map((cloth) => (
              <li key={cloth.id} className="overflow-hidden rounded-card border border-line bg-white">
                <ClothPicture cloth={cloth} className="h-[112px] w-full" />
                <div className="px-3 py-2">
                  <p className="font-semibold">{cloth.name}</p>
                  <p className="text-[13px] text-muted">{clothFacts(cloth, kinds)}</p>
                  {cloth.note ? <p className="text-[13px]">{cloth.note}</p> : null}
                  <div className="-mr-1 flex justify-end">
                    <IconButton label={`Change ${cloth.name}`} onClick={() => setAsked(cloth)}>
                      <Pencil size={15} aria-hidden />
                    </IconButton>
                    <IconButton
                      label={`Take ${cloth.name} out of the stash`}
                      onClick={() => void removeCloth(cloth)}
                    >
                      <Trash2 size={15} aria-hidden />
                    </IconButton>
                  </div>
                </div>
              </li>
            ))}
          </ul>
          {found.length === 0 ? (
            <p className="py-8 text-center text-muted">No cloth answers to that.</p>
          ) : null}
          {sentinel}
        </div>
      )}
      {asked ? (
        <OwnClothPanel cloth={asked === "new" ? undefined : asked} onClose={() => setAsked(null)} />
      ) : null}
    </>
  );
}
