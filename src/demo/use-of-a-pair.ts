import { addDays } from '@/core/calendar/days';
import { type Clock, priorLifeOf, type Use } from '@/core/wear/clocks';
import type { RetiredBecause } from '@/core/wear/retired';
import type { Persona } from './personas/persona';
import type { Random } from './random';

export interface DemoLogEntry {
  on: string;
  distanceKm: number | null;
  amount: number | null;
  comfort: number | null;
}

/** How much a week brings in the unit of a clock: invented. */
export const weeklyIn = (clock: Clock, { weeklyKm }: Persona): number | null =>
  clock === 'km'
    ? weeklyKm
    : weeklyKm === null
      ? null
      : { hours: 3, 'hours-on-feet': 36, 'days-worn': 5 }[clock];

const inClock = (clock: Clock, amount: number): Pick<DemoLogEntry, 'distanceKm' | 'amount'> =>
  clock === 'km' ? { distanceKm: amount, amount: null } : { distanceKm: null, amount };

/** A report every week or two: distance about the usual week, comfort drifting up, then down as the pair ages. */
export function logOfUse(
  persona: Persona,
  clock: Clock,
  from: string,
  until: string,
  comfort: number,
  random: Random,
): DemoLogEntry[] {
  const log: DemoLogEntry[] = [{ on: from, distanceKm: null, amount: null, comfort }];
  const weekly = weeklyIn(clock, persona);
  if (weekly === null) return log;
  for (let day = random.int(6, 9), entry = 0; addDays(from, day) < until; day += 7, entry += 1) {
    const drift = Math.min(14, entry * 2) - Math.max(0, entry - 20) * 1.5;
    log.push({
      on: addDays(from, day),
      ...inClock(clock, Math.round(weekly * (0.6 + random.int(0, 80) / 100) * 10) / 10),
      comfort:
        entry % 4 === 1 ? Math.max(20, Math.min(100, Math.round(comfort + drift + random.int(-4, 4)))) : null,
    });
  }
  return log;
}

/** The same outings shared with another pair. */
export const halved = (entry: DemoLogEntry): DemoLogEntry => ({
  ...entry,
  distanceKm: entry.distanceKm === null ? null : Math.round(entry.distanceKm * 5) / 10,
  amount: entry.amount === null ? null : Math.round(entry.amount * 5) / 10,
});

/** Why a pair that was replaced ended: worn out where it had gone about as far as such pairs do. */
export function endedBecause(log: readonly DemoLogEntry[], use: Use, isRacing: boolean): RetiredBecause {
  const used = log.reduce((sum, entry) => sum + (entry.distanceKm ?? entry.amount ?? 0), 0);
  const { median } = priorLifeOf(use, 'median', isRacing ? 'also-trained' : undefined).life;
  const share = used / median;
  return share > 0.7 && share < 1.6 ? 'worn-out' : 'other';
}
