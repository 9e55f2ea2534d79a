import type { Unit } from "../api/client";

const MM_PER_INCH = 25.4;

/** A length in the shown unit, without its name: mm to 0.1, inches to 0.001. */
export function shown(mm: number, unit: Unit): string {
  return unit === "inch" ? trimmed((mm / MM_PER_INCH).toFixed(3)) : mm.toFixed(1);
}

/** A length in the shown unit with its name. */
export function withUnit(mm: number, unit: Unit): string {
  return `${shown(mm, unit)} ${unit === "inch" ? "in" : "mm"}`;
}

/** Two lengths, "98.4 × 64.0 mm". */
export function sizeText(width: number, height: number, unit: Unit): string {
  return `${shown(width, unit)} × ${withUnit(height, unit)}`;
}

/** Decimal inches whatever is shown. */
export function inches(mm: number): string {
  return (mm / MM_PER_INCH).toFixed(3);
}

/** Minutes and seconds: "3 min 20 s". */
export function duration(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 60) return `${whole} s`;
  const minutes = Math.floor(whole / 60);
  return minutes >= 10 || whole % 60 === 0 ? `${minutes} min` : `${minutes} min ${whole % 60} s`;
}

function trimmed(text: string): string {
  return text.replace(/\.?0+$/, "");
}
