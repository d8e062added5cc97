import { addDays, daysBetween } from '../calendar/days';
import { FINDINGS } from '../findings/findings';
import type { FeatureValues } from '../shoe/features';
import { madeForUse } from '../wear/clocks';
import type { WearSurface } from '../wear/learned/life-factors';

/** A pair as its wearer's time line shows it. */
export interface LinePair {
  id: string;
  title: string;
  features: FeatureValues;
  startedOn: string;
  endedOn: string | null;
  surface: WearSurface | null;
  /** Half of such pairs are used up by then; null where nothing is said. */
  halfUsedUpOn: string | null;
  /** A racing pair that is trained in. */
  trainsRacing: boolean;
  log: readonly { on: string; km: number }[];
}

interface EventBase {
  on: string;
  words: string;
}
/** What changed for a wearer on a day. */
export type LineEvent = EventBase &
  (
    | { kind: 'pair-started'; from: FeatureValues | null; to: FeatureValues }
    | { kind: 'life-crossed' }
    | { kind: 'load-jump'; times: number }
    | { kind: 'harder-ground' }
    | { kind: 'race-pair-trained' }
    | { kind: 'camber-changed' }
  );
export type EventKind = LineEvent['kind'];

export const EVENT_LABELS: Readonly<Record<EventKind, string>> = {
  'pair-started': 'a pair began',
  'life-crossed': 'a pair passed its middle life',
  'load-jump': 'more distance than before',
  'harder-ground': 'harder ground',
  'race-pair-trained': 'a race pair was trained in',
  'camber-changed': 'another camber',
};

/** A week over the mean of the four before it by so much is a jump, from so much on. Ours. */
const JUMP = { times: 1.3, weeks: 4, leastKm: 5 };
const HARDNESS: Readonly<Record<WearSurface, number>> = { soft: 0, mixed: 1, hard: 2 };

/** Kilometres by week, all pairs together, from the first logged day to `today`. */
function weeklyKm(pairs: readonly LinePair[], today: string): { from: string; km: number[] } | null {
  const entries = pairs.flatMap(({ log }) => log).filter(({ on, km }) => km > 0 && on <= today);
  const from = entries.map(({ on }) => on).toSorted()[0];
  if (from === undefined) return null;
  const km = Array.from({ length: Math.floor(daysBetween(from, today) / 7) + 1 }, () => 0);
  for (const entry of entries) km[Math.floor(daysBetween(from, entry.on) / 7)]! += entry.km;
  return { from, km };
}

function loadJumps(pairs: readonly LinePair[], today: string): LineEvent[] {
  const weeks = weeklyKm(pairs, today);
  if (!weeks) return [];
  const jumps: LineEvent[] = [];
  let quiet = 0;
  for (let at = JUMP.weeks; at < weeks.km.length; at += 1) {
    const before = weeks.km.slice(at - JUMP.weeks, at).reduce((sum, km) => sum + km, 0) / JUMP.weeks;
    const times = before > 0 ? weeks.km[at]! / before : 0;
    quiet -= 1;
    if (times < JUMP.times || weeks.km[at]! - before < JUMP.leastKm || quiet > 0) continue;
    quiet = JUMP.weeks;
    jumps.push({
      kind: 'load-jump',
      on: addDays(weeks.from, at * 7),
      times,
      words: `${Math.round(weeks.km[at]!)} km in a week, ${times.toFixed(1)} times the four weeks before`,
    });
  }
  return jumps;
}

/** What a pair took the place of: the one of the same use that was worn last before it. */
function before(pair: LinePair, pairs: readonly LinePair[]): LinePair | null {
  return (
    pairs
      .filter(
        (other) =>
          other.id !== pair.id &&
          other.startedOn < pair.startedOn &&
          madeForUse(other.features) === madeForUse(pair.features),
      )
      .toSorted((a, b) => (a.startedOn < b.startedOn ? 1 : -1))[0] ?? null
  );
}

const difference = (from: FeatureValues | null, to: FeatureValues): string => {
  if (!from) return 'its first of this use here';
  const parts = (['drop', 'heelStack'] as const).flatMap((id) => {
    const [a, b] = [from[id], to[id]];
    if (typeof a !== 'number' || typeof b !== 'number' || Math.abs(a - b) < 1) return [];
    const name = id === 'drop' ? 'drop' : 'stack';
    return [`${name} ${Math.abs(Math.round(b - a))} mm ${b > a ? 'more' : 'less'}`];
  });
  return parts.length > 0 ? parts.join(', ') : 'built like the one before';
};

export type Camber = keyof typeof FINDINGS.camber.options;
/** Which side of the road was the lower one, as a visit heard it. */
export interface CamberSaid {
  on: string;
  camber: Camber;
}

/** It changed some time between two visits; the line shows it on the day on which it was heard. */
const camberChanges = (said: readonly CamberSaid[]): LineEvent[] =>
  said
    .toSorted((a, b) => (a.on < b.on ? -1 : 1))
    .flatMap(({ on, camber }, at, all): LineEvent[] => {
      const before = all[at - 1]?.camber;
      if (before === undefined || before === camber) return [];
      const { options } = FINDINGS.camber;
      const words = `${options[camber]}; at the visit before: ${options[before]}`;
      return [{ kind: 'camber-changed', on, words }];
    });

/** All that changed for a wearer until a day, oldest first. */
export function eventsOf(
  pairs: readonly LinePair[],
  today: string,
  camber: readonly CamberSaid[] = [],
): LineEvent[] {
  const ofPairs = pairs.flatMap((pair): LineEvent[] => {
    const last = before(pair, pairs);
    const harder = last?.surface && pair.surface && HARDNESS[pair.surface] > HARDNESS[last.surface];
    const until = pair.endedOn ?? today;
    return [
      {
        kind: 'pair-started',
        on: pair.startedOn,
        from: last?.features ?? null,
        to: pair.features,
        words: `${pair.title}: ${difference(last?.features ?? null, pair.features)}`,
      },
      ...(harder
        ? [
            {
              kind: 'harder-ground' as const,
              on: pair.startedOn,
              words: `${pair.title} is worn on harder ground than the one before`,
            },
          ]
        : []),
      ...(pair.halfUsedUpOn !== null && pair.halfUsedUpOn <= until
        ? [
            {
              kind: 'life-crossed' as const,
              on: pair.halfUsedUpOn,
              words: `${pair.title} had gone as far as half of such pairs last`,
            },
          ]
        : []),
      ...(pair.trainsRacing
        ? [
            {
              kind: 'race-pair-trained' as const,
              on: pair.startedOn,
              words: `${pair.title}, a race pair, is worn in training`,
            },
          ]
        : []),
    ];
  });
  return [...ofPairs, ...loadJumps(pairs, today), ...camberChanges(camber)]
    .filter(({ on }) => on <= today)
    .toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0));
}
