const DAY = 86_400_000;

/** When something was, as people say it: the time of today, the day of this week, else the date. */
export function whenText(at: number, now = Date.now()): string {
  const date = new Date(at);
  const time = date.toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" });
  const days = Math.floor((startOfDay(now) - startOfDay(at)) / DAY + 0.5);
  if (days === 0) return `today ${time}`;
  if (days === 1) return `yesterday ${time}`;
  if (days > 0 && days < 7) return `${date.toLocaleDateString("en-GB", { weekday: "long" })} ${time}`;
  return date.toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
}

function startOfDay(at: number): number {
  return new Date(at).setHours(0, 0, 0, 0);
}
