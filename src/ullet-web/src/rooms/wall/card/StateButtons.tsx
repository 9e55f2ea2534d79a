import {
  DraftingCompass,
  Eye,
  EyeOff,
  FlipHorizontal2,
  FlipVertical2,
  Group,
  Lock,
  LockOpen,
  Ungroup,
} from "lucide-react";
import { useEdits } from "../../../api/edits";
import type { Scene } from "../../../api/client";
import type { Element } from "../../../api/elements";
import { IconButton } from "../../../parts/IconButton";
import { NumberField } from "../../../parts/fields/NumberField";
import { useOffers } from "../../../verbs/useOffers";

interface Props {
  projectId: string;
  scene: Scene;
  chosen: Element[];
}

/** Flip, skew, group, lock and hide. */
export function StateButtons({ projectId, scene, chosen }: Props) {
  const edits = useEdits(projectId);
  const offers = useOffers(projectId, scene, chosen);
  const ids = chosen.map((element) => element.id);
  const locked = chosen.every((element) => element.isLocked);
  const hidden = chosen.every((element) => element.isHidden);
  const skew = chosen[0]?.box.skew ?? 0;
  const buttons = [
    { offer: offers.flipAcross, icon: FlipHorizontal2 },
    { offer: offers.flipDown, icon: FlipVertical2 },
    { offer: offers.group, icon: Group },
    { offer: offers.ungroup, icon: Ungroup },
    { offer: offers.lock, icon: locked ? Lock : LockOpen },
    { offer: offers.hide, icon: hidden ? EyeOff : Eye },
    { offer: offers.construction, icon: DraftingCompass },
  ];
  return (
    <div className="flex flex-wrap items-end gap-2">
      <div
        className="flex min-w-[210px] flex-1 justify-between"
        role="group"
        aria-label="Turn over, group, lock and hide"
      >
        {buttons.map(({ offer, icon: Icon }) => (
          <IconButton
            key={offer.id}
            label={offer.label}
            keys={offer.keys}
            disabled={offer.disabled}
            onClick={offer.run}
          >
            <Icon size={18} aria-hidden />
          </IconButton>
        ))}
      </div>
      <NumberField
        label="Skew"
        value={skew}
        unit="°"
        onTyped={(degrees) => edits.edit({ edit: "skewElements", elementIds: ids, degrees })}
      />
    </div>
  );
}
