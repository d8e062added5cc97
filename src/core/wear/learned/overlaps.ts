import { daysBetween } from '../../calendar/days';

interface Worn {
  started_on: string;
  ended_on: string | null;
}

/** Half of its time: from there on a pair alternated with another. Ours. */
const ALTERNATES_FROM = 0.5;

/** Whether another pair of the same wearer was in use for at least half of a pair's time. */
export function overlaps<P extends Worn>(pair: P, all: readonly P[], today: string): boolean {
  const day = (on: string) => daysBetween(pair.started_on, on);
  const days = Math.max(1, day(pair.ended_on ?? today));
  return all.some((other) => {
    if (other === pair) return false;
    const beside = Math.min(days, day(other.ended_on ?? today)) - Math.max(0, day(other.started_on));
    return beside > 0 && beside >= ALTERNATES_FROM * days;
  });
}
