/** What holds by now, with what differs between two states of it: one that somebody saw, and the one wished for. */
export function withChanges<T extends object>(now: T, before: object, after: object): T {
  const old = before as Record<string, unknown>;
  const changed = Object.entries(after).filter(([name, value]) => value !== old[name]);
  return { ...now, ...Object.fromEntries(changed) };
}
