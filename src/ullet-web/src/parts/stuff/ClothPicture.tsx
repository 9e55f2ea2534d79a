import type { Cloth, StashCloth } from "../../api/client";

interface Props {
  cloth: Pick<Cloth | StashCloth, "colour" | "texture" | "patternColour" | "swatch">;
  className?: string;
}

const SHADE = "rgba(255,255,255,0.6)";

/** A stretch of cloth: its photo, or its colour with its weave, dots or stripes. */
export function ClothPicture({ cloth, className = "" }: Props) {
  if (cloth.swatch)
    return <img src={`/api/assets/${cloth.swatch.assetId}`} alt="" className={`object-cover ${className}`} />;
  const mark = cloth.patternColour ?? SHADE;
  const image =
    cloth.texture === "dotted"
      ? `radial-gradient(${mark} 22%, transparent 24%)`
      : cloth.texture === "striped"
        ? `linear-gradient(90deg, ${mark} 34%, transparent 34%)`
        : cloth.texture === "woven"
          ? "repeating-linear-gradient(0deg, rgba(0,0,0,0.06) 0 1px, transparent 1px 3px), repeating-linear-gradient(90deg, rgba(255,255,255,0.10) 0 1px, transparent 1px 3px)"
          : "none";
  const size = cloth.texture === "dotted" ? "16px 16px" : cloth.texture === "striped" ? "14px 14px" : "auto";
  return (
    <span
      aria-hidden
      className={`block ${className}`}
      style={{ backgroundColor: cloth.colour, backgroundImage: image, backgroundSize: size }}
    />
  );
}
