import type { Element } from "../api/elements";
import type { Drawing } from "./drawing";
import { makingOf } from "./makings";
import { paintElement } from "./wallPainter";
import { type Frame } from "./outlines";

/** One element painted once, at one scale. */
interface Sprite {
  signature: string;
  picture: HTMLCanvasElement;
  /** Place of its left top corner from the field's centre, device pixels. */
  x: number;
  y: number;
  used: number;
}

/** Larger pictures are painted straight on to the wall, where most of them is out of sight. */
const MOST_PIXELS = 5_000_000;

/** Room round an element for its shadow, mm. */
const ROOM = 2.5;

/** Keeps a picture of each element, so that only what changed is painted anew. */
export class Sprites {
  private readonly kept = new Map<string, Sprite>();
  private round = 0;

  /** Begins a new picture of the wall; pictures not used in the last two are dropped. */
  begin() {
    this.round++;
    for (const [id, sprite] of this.kept) if (sprite.used < this.round - 2) this.kept.delete(id);
  }

  /** Draws an element: from its picture, or by painting it now. */
  draw(
    ctx: CanvasRenderingContext2D,
    drawing: Drawing,
    element: Element,
    frame: Frame,
    stepKey: string | null,
  ) {
    const scale = frame.camera.scale * frame.ratio;
    const box = around(element);
    const [x, y] = [Math.floor(box.x * scale), Math.floor(box.y * scale)];
    const [width, height] = [Math.ceil(box.width * scale) + 2, Math.ceil(box.height * scale) + 2];
    if (width * height > MOST_PIXELS) {
      paintElement(ctx, drawing, element, frame, stepKey);
      return;
    }
    const signature = signatureOf(drawing, element, scale, stepKey);
    let sprite = this.kept.get(element.id);
    if (sprite?.signature !== signature) {
      const picture = document.createElement("canvas");
      picture.width = width;
      picture.height = height;
      const own = picture.getContext("2d");
      const camera = { scale: frame.camera.scale, x: -x / frame.ratio, y: -y / frame.ratio };
      if (own) paintElement(own, drawing, element, { ...frame, camera }, stepKey);
      sprite = { signature, picture, x, y, used: 0 };
      this.kept.set(element.id, sprite);
    }
    sprite.used = this.round;
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.drawImage(
      sprite.picture,
      Math.round(frame.camera.x * frame.ratio) + sprite.x,
      Math.round(frame.camera.y * frame.ratio) + sprite.y,
    );
  }
}

/** The box of all that an element shows, mm. */
function around(element: Element) {
  const [a, b] = [element.outline, element.stitched ?? element.outline];
  const [left, top] = [Math.min(a.x, b.x) - ROOM, Math.min(a.y, b.y) - ROOM];
  return {
    x: left,
    y: top,
    width: Math.max(a.x + a.width, b.x + b.width) + ROOM - left,
    height: Math.max(a.y + a.height, b.y + b.height) + ROOM - top,
  };
}

function signatureOf(drawing: Drawing, element: Element, scale: number, stepKey: string | null): string {
  const steps = drawing.scene.steps
    .filter((step) => step.ownerId === element.id && step.stitchesKey)
    .map((step) => {
      const there = drawing.stitches.has(step.stitchesKey ?? "");
      return `${step.stitchesKey}${step.threadColour}${there}${stepKey === null || stepKey === step.key}`;
    });
  return [
    scale.toFixed(5),
    element.outlinePath,
    element.making.kind,
    makingOf(element).signature(drawing, element, stepKey),
    drawing.photos,
    ...steps,
  ].join("|");
}
