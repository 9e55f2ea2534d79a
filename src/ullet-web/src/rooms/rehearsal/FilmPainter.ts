import type { Rehearsal, RehearsedStep } from "../../api/client";
import { apply, fitted, type Camera } from "../../canvas/camera";
import { clothFill } from "../../canvas/cloth";
import { drawThread } from "../../canvas/thread";
import type { Position } from "./playback";

type Sight = RehearsedStep["sight"];
type Place = NonNullable<RehearsedStep["group"]>["places"][number];
type Zip = NonNullable<Rehearsal["shapes"][number]["zip"]>;

/** Paints the hoop at a position of the rehearsal. Steps that are done stay in a picture; only the running one is drawn. */
export class FilmPainter {
  private camera: Camera = { scale: 1, x: 0, y: 0 };
  private kept: { sight: Sight; picture: HTMLCanvasElement } | null = null;
  private readonly points = new WeakMap<RehearsedStep, Float32Array>();

  constructor(
    private readonly canvas: HTMLCanvasElement,
    private readonly rehearsal: Rehearsal,
  ) {}

  resize(at: Position) {
    const ratio = window.devicePixelRatio || 1;
    this.canvas.width = Math.max(1, Math.round(this.canvas.clientWidth * ratio));
    this.canvas.height = Math.max(1, Math.round(this.canvas.clientHeight * ratio));
    const { fieldWidth, fieldHeight } = this.rehearsal;
    this.camera = fitted(fieldWidth, fieldHeight, this.canvas.width, this.canvas.height);
    this.kept = null;
    this.paint(at);
  }

  paint(at: Position) {
    const ctx = this.canvas.getContext("2d");
    if (!ctx) return;
    const now = this.rehearsal.steps[at.step];
    if (!now) return;
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.clearRect(0, 0, this.canvas.width, this.canvas.height);
    if (now.kind === "hand") {
      const sight = this.rehearsal.steps[at.step + (now.group?.count ?? 1) - 1]?.sight ?? now.sight;
      // What is to be laid shows through while the card asks for it, so that it can be held against the line.
      const before = this.rehearsal.steps[at.step - 1]?.sight.things ?? sight.things;
      const layers = new Set(before.map((thing) => this.rehearsal.shapes[thing]?.layerId));
      // What lay there already is drawn as it lies now: trimmed, or folded over.
      const isKnown = (thing: number) => layers.has(this.rehearsal.shapes[thing]?.layerId);
      const things = sight.things.filter((thing) => thing < 0 || isKnown(thing));
      ctx.drawImage(this.picture({ ...sight, things }), 0, 0);
      ctx.globalAlpha = 0.72;
      for (const thing of sight.things) if (thing >= 0 && !isKnown(thing)) this.thing(ctx, thing, sight);
      ctx.globalAlpha = 1;
      for (const place of now.group?.places ?? []) this.number(ctx, place, sight);
      return;
    }
    ctx.drawImage(this.picture(this.before(at.step, now.sight)), 0, 0);
    if (at.share > 0) {
      const all = this.pointsOf(now);
      const end = Math.floor((all.length / 2) * at.share) * 2;
      this.thread(ctx, now, all.slice(0, end), now.sight);
      this.needle(ctx, all, end);
    }
  }

  /** What is seen from the front before a stitch step: what is seen after it but for its own thread. */
  private before(step: number, sight: Sight): Sight {
    return { ...sight, things: sight.things.filter((thing) => thing !== -1 - step) };
  }

  /** The picture of a sight; one that begins like the last one is drawn on from there. */
  private picture(sight: Sight): HTMLCanvasElement {
    if (this.kept && same(this.kept.sight, sight) && this.kept.sight.things.length === sight.things.length)
      return this.kept.picture;
    const picture = document.createElement("canvas");
    picture.width = this.canvas.width;
    picture.height = this.canvas.height;
    const ctx = picture.getContext("2d");
    if (!ctx) return picture;
    let from = 0;
    if (this.kept && same(this.kept.sight, sight)) {
      ctx.drawImage(this.kept.picture, 0, 0);
      from = this.kept.sight.things.length;
    } else if (!sight.isOut) {
      this.hoop(ctx);
    }
    for (const thing of sight.things.slice(from)) this.thing(ctx, thing, sight);
    this.kept = { sight, picture };
    return picture;
  }

  /** Draws a layer, or the thread of a step. */
  private thing(ctx: CanvasRenderingContext2D, thing: number, sight: Sight) {
    const shape = this.rehearsal.shapes[thing];
    const step = this.rehearsal.steps[-1 - thing];
    if (shape) {
      this.cloth(ctx, shape.cloth, new Path2D(shape.path), shape.faceUp === sight.isBack, sight);
      if (shape.zip) this.zip(ctx, shape.zip, shape.cloth.colour, sight);
    } else if (step) this.thread(ctx, step, this.pointsOf(step), sight);
  }

  private cloth(
    ctx: CanvasRenderingContext2D,
    cloth: Rehearsal["shapes"][number]["cloth"],
    path: Path2D,
    isFaceDown: boolean,
    sight: Sight,
  ) {
    ctx.save();
    this.turn(ctx, sight);
    this.clip(ctx, sight);
    ctx.shadowColor = "rgb(29 42 58 / 0.3)";
    ctx.shadowBlur = 1.4 * this.camera.scale;
    ctx.shadowOffsetY = 0.4 * this.camera.scale;
    ctx.fillStyle = cloth.colour;
    ctx.fill(path, "evenodd");
    ctx.shadowColor = "transparent";
    ctx.fillStyle = clothFill(ctx, cloth);
    ctx.fill(path, "evenodd");
    if (isFaceDown) {
      // The wrong side of cloth is paler and hardly shows its print.
      ctx.fillStyle = "rgb(255 255 255 / 0.6)";
      ctx.fill(path, "evenodd");
    }
    ctx.restore();
  }

  private zip(ctx: CanvasRenderingContext2D, zip: Zip, colour: string, sight: Sight) {
    ctx.save();
    this.turn(ctx, sight);
    this.clip(ctx, sight);
    ctx.fillStyle = "#2b333d";
    ctx.fill(new Path2D(zip.slit));
    const teeth = new Path2D(zip.teeth);
    ctx.lineWidth = zip.teethWidth;
    ctx.strokeStyle = colour;
    ctx.stroke(teeth);
    ctx.setLineDash([0.9, 0.5]);
    ctx.strokeStyle = "rgb(29 42 58 / 0.55)";
    ctx.stroke(teeth);
    ctx.setLineDash([]);
    ctx.shadowColor = "rgb(29 42 58 / 0.4)";
    ctx.shadowBlur = 1.2 * this.camera.scale;
    ctx.fillStyle = "#b9bec4";
    ctx.fill(new Path2D(zip.slider));
    ctx.restore();
  }

  /** A number that the card names. */
  private number(ctx: CanvasRenderingContext2D, place: Place, sight: Sight) {
    apply(ctx, this.camera, 1);
    const x = sight.isBack ? -place.x : place.x;
    const size = 13 / this.camera.scale;
    ctx.beginPath();
    ctx.arc(x, place.y, size, 0, 2 * Math.PI);
    ctx.fillStyle = "#ffffff";
    ctx.fill();
    ctx.lineWidth = size / 8;
    ctx.strokeStyle = "#1d2a3a";
    ctx.stroke();
    ctx.fillStyle = "#1d2a3a";
    ctx.font = `600 ${size * 1.25}px "Hanken Grotesk", sans-serif`;
    ctx.textAlign = "center";
    ctx.textBaseline = "middle";
    ctx.fillText(String(place.number), x, place.y + size * 0.06);
  }

  private hoop(ctx: CanvasRenderingContext2D) {
    const { fieldWidth: w, fieldHeight: h } = this.rehearsal;
    apply(ctx, this.camera, 1);
    ctx.beginPath();
    ctx.roundRect(-w / 2 - 7, -h / 2 - 7, w + 14, h + 14, 12);
    ctx.fillStyle = "#aab4bf";
    ctx.fill();
    ctx.beginPath();
    this.inside(ctx);
    ctx.fillStyle = "#ffffff";
    ctx.fill();
  }

  /** The work as it is looked at: turned over for its back. */
  private turn(ctx: CanvasRenderingContext2D, sight: Sight) {
    apply(ctx, this.camera, 1);
    if (sight.isBack) ctx.scale(-1, 1);
  }

  private clip(ctx: CanvasRenderingContext2D, sight: Sight) {
    if (sight.clip) {
      ctx.clip(new Path2D(sight.clip), "evenodd");
    } else {
      ctx.beginPath();
      this.inside(ctx);
      ctx.clip();
    }
  }

  private inside(ctx: CanvasRenderingContext2D) {
    const { fieldWidth: w, fieldHeight: h } = this.rehearsal;
    ctx.roundRect(-w / 2 - 4, -h / 2 - 4, w + 8, h + 8, 9);
  }

  private thread(ctx: CanvasRenderingContext2D, step: RehearsedStep, points: Float32Array, sight: Sight) {
    const thread = this.rehearsal.threads.find((known) => known.number === step.thread);
    if (!thread) return;
    ctx.save();
    this.turn(ctx, sight);
    if (sight.clip) this.clip(ctx, sight);
    // From behind the bobbin's thread is seen.
    drawThread(ctx, points, sight.isBack ? "#d5d9de" : thread.colour);
    ctx.restore();
  }

  private needle(ctx: CanvasRenderingContext2D, points: Float32Array, end: number) {
    const [x, y] = [points[end - 2], points[end - 1]];
    if (x === undefined || y === undefined || Number.isNaN(x)) return;
    apply(ctx, this.camera, 1);
    ctx.beginPath();
    ctx.arc(x, y, 1.3, 0, 2 * Math.PI);
    ctx.fillStyle = "#ffffff";
    ctx.fill();
    ctx.lineWidth = 0.5;
    ctx.strokeStyle = "#1d2a3a";
    ctx.stroke();
  }

  private pointsOf(step: RehearsedStep): Float32Array {
    let flat = this.points.get(step);
    if (!flat) {
      flat = new Float32Array(step.runs.flatMap((run) => [...run, NaN, NaN]));
      this.points.set(step, flat);
    }
    return flat;
  }
}

/** True when a sight begins with all of another one. */
function same(before: Sight, sight: Sight): boolean {
  return (
    before.isBack === sight.isBack &&
    before.isOut === sight.isOut &&
    before.clip === sight.clip &&
    before.things.length <= sight.things.length &&
    before.things.every((thing, i) => thing === sight.things[i])
  );
}
