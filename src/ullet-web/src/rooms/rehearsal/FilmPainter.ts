import type { Rehearsal, RehearsedStep } from "../../api/client";
import { apply, fitted, type Camera } from "../../canvas/camera";
import { clothFill } from "../../canvas/cloth";
import { drawThread } from "../../canvas/thread";
import type { Position } from "./playback";

/** Paints the hoop at a position of the rehearsal. Steps that are done stay in a picture; only the running one is drawn. */
export class FilmPainter {
  private camera: Camera = { scale: 1, x: 0, y: 0 };
  private kept: { steps: number; picture: HTMLCanvasElement } | null = null;
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
    ctx.setTransform(1, 0, 0, 1, 0, 0);
    ctx.clearRect(0, 0, this.canvas.width, this.canvas.height);
    ctx.drawImage(this.upTo(at.step), 0, 0);
    if (now?.kind === "hand") {
      // What is to be laid shows through while the card asks for it, so that it can be held against the line.
      ctx.globalAlpha = at.step === 0 ? 1 : 0.72;
      this.layers(ctx, now, at.step, at.step);
      ctx.globalAlpha = 1;
    }
    if (now?.kind === "stitch" && at.share > 0) {
      const all = this.pointsOf(now);
      const end = Math.floor((all.length / 2) * at.share) * 2;
      this.thread(ctx, now, all.slice(0, end));
      this.needle(ctx, all, end);
    }
  }

  private upTo(steps: number): HTMLCanvasElement {
    if (this.kept?.steps === steps) return this.kept.picture;
    let from = 0;
    const picture = document.createElement("canvas");
    picture.width = this.canvas.width;
    picture.height = this.canvas.height;
    const ctx = picture.getContext("2d");
    if (!ctx) return picture;
    const redrawn = this.rehearsal.steps
      .slice(0, steps)
      .some((step, i) => i >= (this.kept?.steps ?? 0) && cutsBack(step));
    if (this.kept && this.kept.steps < steps && !redrawn) {
      ctx.drawImage(this.kept.picture, 0, 0);
      from = this.kept.steps;
    } else {
      this.hoop(ctx);
    }
    for (let i = from; i < steps; i++) {
      const step = this.rehearsal.steps[i];
      if (step?.kind === "hand") this.layers(ctx, step, i, steps);
      else if (step) this.thread(ctx, step, this.pointsOf(step));
    }
    this.kept = { steps, picture };
    return picture;
  }

  /** Draws what a hand step lays or folds, as it lies once the steps up to a number are done. */
  private layers(ctx: CanvasRenderingContext2D, step: RehearsedStep, index: number, upTo: number) {
    apply(ctx, this.camera, 1);
    for (const layer of step.layers) {
      const later = this.rehearsal.steps
        .slice(index + 1, upTo)
        .flatMap((each) => each.layers)
        .filter((each) => each.layerId === layer.layerId && !each.cloth);
      // Of a layer that is folded only the last fold is seen; what was sewn before it lies beneath.
      const isFold = !layer.cloth && layer.faceUp !== null && layer.path !== "";
      if ((!layer.cloth && !isFold) || later.some((each) => each.faceUp !== null)) continue;
      const cloth = layer.cloth ?? this.clothOf(layer.layerId);
      if (!cloth) continue;
      this.cloth(ctx, cloth, new Path2D(later.at(-1)?.path ?? layer.path), layer.faceUp === false);
    }
  }

  private clothOf(layerId: string) {
    return this.rehearsal.steps
      .flatMap((step) => step.layers)
      .find((layer) => layer.layerId === layerId && layer.cloth)?.cloth;
  }

  private cloth(
    ctx: CanvasRenderingContext2D,
    cloth: NonNullable<RehearsedStep["layers"][number]["cloth"]>,
    path: Path2D,
    isFaceDown: boolean,
  ) {
    ctx.save();
    this.clipToHoop(ctx);
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

  private clipToHoop(ctx: CanvasRenderingContext2D) {
    ctx.beginPath();
    this.inside(ctx);
    ctx.clip();
  }

  private inside(ctx: CanvasRenderingContext2D) {
    const { fieldWidth: w, fieldHeight: h } = this.rehearsal;
    ctx.roundRect(-w / 2 - 4, -h / 2 - 4, w + 8, h + 8, 9);
  }

  private thread(ctx: CanvasRenderingContext2D, step: RehearsedStep, points: Float32Array) {
    const thread = this.rehearsal.threads.find((known) => known.number === step.thread);
    apply(ctx, this.camera, 1);
    if (thread) drawThread(ctx, points, thread.colour);
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

function cutsBack(step: RehearsedStep): boolean {
  return step.layers.some((layer) => !layer.cloth);
}
