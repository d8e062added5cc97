import { addDays } from '@/core/calendar/days';
import { SOCK_TAG_IDS, type SockEntry, type SockFeel, type SockTag } from '@/core/prosthesis/sock-log';
import { noise } from './noise';

export interface LimbSettings {
  seed: number;
  from: string;
  days: number;
  /** Ply at noon of the first day. */
  base: number;
  /** Ply that a day adds from rising to night. */
  swing: number;
  /** Spread of one day against the next, ply. */
  betweenDays: number;
  /** How much of a day's difference the next day keeps, 0 … 1. */
  kept?: number;
  /** Ply that a month adds: a limb that shrinks. */
  perMonth?: number;
  /** A loss of volume at once. */
  step?: { day: number; ply: number };
  looksADay?: number;
  /** Chance of a day with something that moves it. */
  tagged?: number;
}

/** What a day's salt, heat, walk or illness does, ply. Made up. */
const TAG_PLY: Readonly<Record<SockTag, number>> = { salt: -1.2, heat: -0.7, 'long-walk': 1, illness: -0.8 };
const RISES_AT = 7;
const WAKING_HOURS = 15;

export interface SimulatedLimb {
  entries: SockEntry[];
  /** What the limb needs at an hour of a day, ply, as it truly is. */
  need: (day: number, hour: number) => number;
  dayAt: (day: number) => string;
}

/** A limb that changes through the day and over months, and a wearer who looks at the socks. Made up. */
export function simulatedLimb(settings: LimbSettings): SimulatedLimb {
  const { seed, from, days, base, swing, betweenDays, kept = 0.4, perMonth = 0, step } = settings;
  const chance = noise(seed);
  const tags: (SockTag | null)[] = [];
  const offsets: number[] = [];
  let offset = betweenDays * chance.normal();
  for (let day = 0; day < days; day += 1) {
    offsets.push(offset);
    offset = kept * offset + Math.sqrt(1 - kept * kept) * betweenDays * chance.normal();
    tags.push(
      chance.even() < (settings.tagged ?? 0.1)
        ? SOCK_TAG_IDS[Math.floor(chance.even() * SOCK_TAG_IDS.length)]!
        : null,
    );
  }
  const shape = (hour: number) => 1 - Math.exp(-Math.max(0, hour - RISES_AT) / 5);
  const need = (day: number, hour: number): number => {
    const tag = tags[day];
    return (
      base +
      (perMonth * day) / 30 +
      offsets[day]! +
      swing * (shape(hour) - shape(13)) +
      (tag && hour >= 13 ? TAG_PLY[tag] : 0) +
      (step && day >= step.day ? step.ply : 0)
    );
  };
  const dayAt = (day: number) => addDays(from, day);
  const entries: SockEntry[] = [];
  let worn = Math.max(0, Math.round(base));
  const looks = settings.looksADay ?? 4;
  for (let day = 0; day < days; day += 1)
    for (let look = 0; look < looks; look += 1) {
      const hour = RISES_AT + 0.3 + ((look + 0.6 * chance.even()) * WAKING_HOURS) / looks;
      const felt = need(day, hour) - worn + 0.25 * chance.normal();
      const tag = tags[day];
      const minutes = Math.round((hour % 1) * 59);
      entries.push({
        at: `${dayAt(day)}T${String(Math.floor(hour)).padStart(2, '0')}:${String(minutes).padStart(2, '0')}`,
        ply: worn,
        feel: feelOf(felt),
        ...(tag && hour >= 13 ? { tags: [tag] } : {}),
      });
      // Whoever feels it changes it.
      if (Math.abs(felt) > 0.75)
        worn = Math.max(0, worn + Math.sign(felt) * Math.min(3, Math.max(1, Math.round(Math.abs(felt)))));
    }
  return { entries, need, dayAt };
}

const feelOf = (felt: number): SockFeel =>
  felt > 1.75 ? 'pistoning' : felt > 0.75 ? 'loose' : felt < -0.75 ? 'tight' : 'right';
