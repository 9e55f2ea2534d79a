const UNITS = ["kB", "MB", "GB", "TB"];

/** A number of bytes for people: "34 MB". */
export function bytes(count: number): string {
  let value = count / 1000;
  let unit = 0;
  while (value >= 1000 && unit < UNITS.length - 1) {
    value /= 1000;
    unit++;
  }
  return `${value < 10 && value > 0 ? value.toFixed(1) : Math.round(value)} ${UNITS[unit]}`;
}
