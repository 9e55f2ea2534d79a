/** Side of the cells in which strokes are looked for, mm. */
const CELL = 1;

/** The strokes just before lie side by side with one, whatever their direction. */
const BESIDE = 6;

/** Strokes that differ by more lie across each other, radians. */
const ACROSS = 0.45;

/** Knows where strokes were laid, and says whether another crosses one of them: it lies on top, and is painted later. */
export class Crossings {
  private readonly cells = new Map<number, { stroke: number; angle: number }>();

  clear() {
    this.cells.clear();
  }

  /** Lays a stroke; true when it lies across one that was laid some strokes ago. */
  lay(stroke: number, x0: number, y0: number, x1: number, y1: number): boolean {
    const [dx, dy] = [x1 - x0, y1 - y0];
    const angle = Math.atan2(dy, dx);
    const looks = Math.max(1, Math.ceil(Math.hypot(dx, dy) / CELL));
    let crosses = false;
    for (let k = 0; k < looks; k++) {
      const at = (k + 0.5) / looks;
      const cell = Math.floor((x0 + dx * at) / CELL) * 65536 + Math.floor((y0 + dy * at) / CELL);
      const before = this.cells.get(cell);
      // Directions have no sign.
      if (
        before &&
        stroke - before.stroke > BESIDE &&
        Math.abs(Math.sin(angle - before.angle)) > Math.sin(ACROSS)
      )
        crosses = true;
      this.cells.set(cell, { stroke, angle });
    }
    return crosses;
  }
}
