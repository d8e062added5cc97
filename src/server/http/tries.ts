const WINDOW_MS = 60_000;
const MOST = 20;
/** Addresses remembered at most: a flood of them forgets the oldest and not the server. */
const REMEMBERED = 10_000;

const tries = new Map<string, number[]>();

/** Counts a try from an address; true when there were too many within a minute. Each copy of the application counts for itself. */
export function tooManyFrom(address: string, now = Date.now()): boolean {
  const recent = (tries.get(address) ?? []).filter((at) => at > now - WINDOW_MS);
  recent.push(now);
  tries.delete(address);
  tries.set(address, recent.slice(-MOST - 1));
  for (const oldest of tries.keys()) {
    if (tries.size <= REMEMBERED) break;
    tries.delete(oldest);
  }
  return recent.length > MOST;
}
