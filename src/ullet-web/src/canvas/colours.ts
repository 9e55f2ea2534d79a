/** A colour lighter (over 0) or darker (under 0) by a share. */
export function shaded(hex: string, by: number): string {
  const parts = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
  const mixed = parts.map((part) => Math.round(by >= 0 ? part + (255 - part) * by : part * (1 + by)));
  return `rgb(${mixed.join(" ")})`;
}
