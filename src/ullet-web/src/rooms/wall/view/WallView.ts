import type { Element } from "../../../api/elements";
import { between } from "../../../canvas/boxes";
import { apply, fitted, zoomedAt, type Camera, type Place } from "../../../canvas/camera";
import { Sprites } from "../../../canvas/sprites";
import type { Drawing } from "../../../canvas/drawing";
import { paintBase, paintHoop } from "../../../canvas/wallPainter";
import { paintOverlay, type Drag, type Extra, type Marks } from "./wallOverlay";

const IDLE_MS = 90;

/** Paints the wall. Nothing is computed while a hand drags: pictures that are there already are moved. */
export class WallView {
  camera: Camera = { scale: 3, x: 0, y: 0 };
  drawing: Drawing | null = null;
  private readonly base: HTMLCanvasElement;
  private readonly over: HTMLCanvasElement;
  private readonly observer: ResizeObserver;
  private readonly sprites = new Sprites();
  private still: { picture: HTMLCanvasElement; camera: Camera; moving: HTMLCanvasElement | null } | null =
    null;
  private marks: Marks = {
    selection: [],
    stepKey: null,
    letter: null,
    measured: null,
    pointedPath: null,
    margins: null,
    map: null,
    isInNodes: false,
    lengthText: (mm) => mm.toFixed(1),
  };
  private drag: Drag | null = null;
  private dropped = false;
  private letterMoved: Place = { x: 0, y: 0 };
  private band: { from: Place; to: Place } | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private asked = 0;
  private fits = true;
  private onLetGo: (() => void) | null = null;
  private extra: Extra | null = null;

  constructor(private readonly holder: HTMLElement) {
    this.base = this.canvas();
    this.over = this.canvas();
    this.observer = new ResizeObserver(() => this.resize());
    this.observer.observe(holder);
    this.resize();
  }

  dispose() {
    this.observer.disconnect();
    clearTimeout(this.timer);
    cancelAnimationFrame(this.asked);
    this.base.remove();
    this.over.remove();
  }

  get size() {
    return { width: this.holder.clientWidth, height: this.holder.clientHeight };
  }

  show(drawing: Drawing) {
    const before = this.drawing?.scene.hooping;
    const after = drawing.scene.hooping;
    const otherHoop = before?.fieldWidth !== after.fieldWidth || before.fieldHeight !== after.fieldHeight;
    this.drawing = drawing;
    if (this.dropped) {
      this.drag = null;
      this.dropped = false;
    }
    this.letterMoved = { x: 0, y: 0 };
    if (otherHoop && (this.fits || !before)) this.fit();
    this.renew();
  }

  mark(marks: Marks) {
    const again = this.marks.stepKey !== marks.stepKey;
    this.marks = marks;
    if (again) this.renew();
    else this.ask();
  }

  fit() {
    if (!this.drawing) return;
    const { fieldWidth, fieldHeight } = this.drawing.scene.hooping;
    this.look(fitted(fieldWidth, fieldHeight, this.size.width, this.size.height));
    this.fits = true;
  }

  trueSize(pixelsPerMm: number) {
    this.zoom(pixelsPerMm / this.camera.scale);
  }

  zoom(factor: number, at: Place = { x: this.size.width / 2, y: this.size.height / 2 }) {
    this.look(zoomedAt(this.camera, factor, at));
  }

  pan(dx: number, dy: number) {
    this.look({ ...this.camera, x: this.camera.x + dx, y: this.camera.y + dy });
  }

  /** Begins or goes on with a drag; the picture is split once, then only moved. */
  move(drag: Drag) {
    const fresh = this.drag === null;
    this.drag = drag;
    if (fresh) this.render();
    this.ask();
  }

  /** Shows the chosen letter at a distance from its place, mm. */
  moveLetter(by: Place) {
    this.letterMoved = by;
    this.ask();
  }

  /** Keeps the dragged picture where it is until the next scene comes. */
  drop() {
    this.dropped = true;
    if (this.drag) this.drag.guides = [];
  }

  cancelDrag() {
    this.drag = null;
    this.dropped = false;
    this.letterMoved = { x: 0, y: 0 };
    this.renew();
  }

  whenLetGo(action: (() => void) | null) {
    this.onLetGo = action;
  }

  letGo(): boolean {
    if (!this.onLetGo) return false;
    this.onLetGo();
    return true;
  }

  setBand(band: { from: Place; to: Place } | null) {
    this.band = band;
    this.ask();
  }

  /** Shows what a tool paints; null for nothing. */
  setExtra(extra: Extra | null) {
    this.extra = extra;
    this.ask();
  }

  /** Paints what lies over the drawing once more. */
  repaint() {
    this.ask();
  }

  /** Brings a place of the wall to the middle, at least so near, CSS pixels for a mm. */
  lookAt(place: Place, scale: number) {
    const { width, height } = this.size;
    const by = Math.max(this.camera.scale, scale);
    this.look({ scale: by, x: width / 2 - place.x * by, y: height / 2 - place.y * by });
  }

  /** Draws everything afresh: a photo of cloth has come in. */
  refresh(photos: number) {
    if (!this.drawing) return;
    this.drawing = { ...this.drawing, photos };
    this.renew();
  }

  private look(camera: Camera) {
    // Whole device pixels: pictures that are moved stay sharp.
    const whole = (value: number) => Math.round(value * this.ratio) / this.ratio;
    this.camera = { scale: camera.scale, x: whole(camera.x), y: whole(camera.y) };
    this.fits = false;
    clearTimeout(this.timer);
    this.timer = setTimeout(() => this.renew(), IDLE_MS);
    this.ask();
  }

  private renew() {
    this.render();
    this.ask();
  }

  private get ratio() {
    return window.devicePixelRatio || 1;
  }

  private canvas(): HTMLCanvasElement {
    const canvas = document.createElement("canvas");
    canvas.className = "absolute inset-0 size-full";
    canvas.setAttribute("aria-hidden", "true");
    this.holder.prepend(canvas);
    if (this.base) this.base.after(canvas);
    return canvas;
  }

  private resize() {
    for (const canvas of [this.base, this.over]) {
      canvas.width = Math.max(1, Math.round(this.size.width * this.ratio));
      canvas.height = Math.max(1, Math.round(this.size.height * this.ratio));
    }
    if (this.fits) this.fit();
    this.renew();
  }

  /** Draws the scene afresh into pictures that can be moved about. */
  private render() {
    if (!this.drawing) return;
    const began = performance.now();
    const moved = new Set(this.drag?.ids ?? []);
    this.sprites.begin();
    const picture = this.picture((ctx, drawing) => {
      paintHoop(ctx, drawing, this.frame);
      paintBase(ctx, drawing, this.frame);
      this.paintElements(ctx, drawing, (element) => !moved.has(element.id));
    });
    const moving = moved.size
      ? this.picture((ctx, drawing) => this.paintElements(ctx, drawing, (element) => moved.has(element.id)))
      : null;
    this.still = { picture, camera: this.camera, moving };
    performance.measure("wall-drawn", { start: began });
  }

  private paintElements(
    ctx: CanvasRenderingContext2D,
    drawing: Drawing,
    shown: (element: Element) => boolean,
  ) {
    for (const element of drawing.scene.elements)
      if (!element.isHidden && shown(element))
        this.sprites.draw(ctx, drawing, element, this.frame, this.marks.stepKey);
  }

  private get frame() {
    return { camera: this.camera, ratio: this.ratio };
  }

  private picture(paint: (ctx: CanvasRenderingContext2D, drawing: Drawing) => void): HTMLCanvasElement {
    const canvas = document.createElement("canvas");
    canvas.width = this.base.width;
    canvas.height = this.base.height;
    const ctx = canvas.getContext("2d");
    if (ctx && this.drawing) paint(ctx, this.drawing);
    return canvas;
  }

  private ask() {
    cancelAnimationFrame(this.asked);
    this.asked = requestAnimationFrame(() => this.paint());
  }

  private paint() {
    const base = this.base.getContext("2d");
    const over = this.over.getContext("2d");
    if (!base || !over || !this.still) return;
    base.setTransform(1, 0, 0, 1, 0, 0);
    base.clearRect(0, 0, this.base.width, this.base.height);
    const by = this.camera.scale / this.still.camera.scale;
    const x = (this.camera.x - this.still.camera.x * by) * this.ratio;
    const y = (this.camera.y - this.still.camera.y * by) * this.ratio;
    base.setTransform(by, 0, 0, by, x, y);
    base.drawImage(this.still.picture, 0, 0);
    this.paintMoving(base, this.still.camera, this.still.moving);
    over.setTransform(1, 0, 0, 1, 0, 0);
    over.clearRect(0, 0, this.over.width, this.over.height);
    paintOverlay(over, this.camera, this.ratio, {
      elements: this.drawing?.scene.elements ?? [],
      findings: this.drawing?.scene.findings ?? [],
      marks: this.marks,
      drag: this.drag,
      letterMoved: this.letterMoved,
      band: this.band,
      extra: this.extra,
    });
  }

  private paintMoving(ctx: CanvasRenderingContext2D, camera: Camera, moving: HTMLCanvasElement | null) {
    const first = this.elements(this.drag?.ids ?? [])[0];
    const to = first && this.drag?.boxes.get(first.id);
    if (!moving || !first || !to) return;
    apply(ctx, this.camera, this.ratio);
    const m = between(first.box, to);
    ctx.transform(m.a, m.b, m.c, m.d, m.e, m.f);
    const back = 1 / (camera.scale * this.ratio);
    ctx.transform(back, 0, 0, back, -camera.x / camera.scale, -camera.y / camera.scale);
    ctx.drawImage(moving, 0, 0);
  }

  private elements(ids: string[]): Element[] {
    return this.drawing?.scene.elements.filter((element) => ids.includes(element.id)) ?? [];
  }
}
