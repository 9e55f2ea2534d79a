import type { ElementBox } from "../api/client";
import type { Element } from "../api/elements";
import { around } from "./guides";

/** The upright box round the bare outlines of several elements. */
export function wholeBox(elements: Element[]): ElementBox {
  const rect = around(elements.map((element) => element.outline));
  return {
    x: rect.x + rect.width / 2,
    y: rect.y + rect.height / 2,
    width: rect.width,
    height: rect.height,
    rotation: 0,
    isFlipped: false,
    skew: 0,
  };
}

/** Where the elements' boxes come when their whole goes from one box to another, made larger and turned. */
export function carriedAlong(elements: Element[], from: ElementBox, to: ElementBox): Map<string, ElementBox> {
  const [across, down] = [to.width / (from.width || 1), to.height / (from.height || 1)];
  const turn = to.rotation - from.rotation;
  const [sin, cos] = [Math.sin((turn * Math.PI) / 180), Math.cos((turn * Math.PI) / 180)];
  return new Map(
    elements.map(({ id, box }) => {
      const [dx, dy] = [(box.x - from.x) * across, (box.y - from.y) * down];
      const upright = Math.round(box.rotation / 90) % 2 === 0;
      return [
        id,
        {
          ...box,
          x: to.x + dx * cos - dy * sin,
          y: to.y + dx * sin + dy * cos,
          width: box.width * (upright ? across : down),
          height: box.height * (upright ? down : across),
          rotation: box.rotation + turn,
        },
      ];
    }),
  );
}
