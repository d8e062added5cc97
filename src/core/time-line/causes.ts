import { daysBetween } from '../calendar/days';
import type { FINDINGS } from '../findings/findings';
import { FEATURE_IDS, FEATURES, type FeatureValues } from '../shoe/features';
import type { LegRegion } from '../what-if/effects';
import { type RegionChange, scenarioOf, whatIf } from '../what-if/what-if';
import type { EventKind, LineEvent } from './events';

export type AcheSite = keyof typeof FINDINGS.pain.options;

/** Which part of the leg an ache belongs to, as loads are measured there. */
export const REGION_OF: Readonly<Record<AcheSite, LegRegion>> = {
  'achilles-mid': 'ankle',
  'achilles-insertion': 'ankle',
  calf: 'ankle',
  shin: 'ankle',
  'plantar-heel': 'ground',
  'heel-growth-plate': 'ankle',
  arch: 'forefoot',
  midfoot: 'forefoot',
  'ankle-outer': 'ankle',
  'ankle-inner': 'ankle',
  forefoot: 'forefoot',
  'between-toes': 'forefoot',
  'big-toe': 'forefoot',
  'knee-front': 'knee',
  'knee-inner': 'knee',
  hip: 'hip',
};

/** Sites over a bone that a stress injury takes: they are asked for it before anything else is thought of. */
const BONY: ReadonlySet<AcheSite> = new Set([
  'shin',
  'midfoot',
  'forefoot',
  'hip',
  'plantar-heel',
  'ankle-inner',
]);

/** What changed counts half as much for each three weeks that it lies before the ache, and not at all beyond four months. Ours. */
const HALF_LIFE_DAYS = 21;
const LATEST_DAYS = 120;

const timeWeight = (days: number): number =>
  days < 0 || days > LATEST_DAYS ? 0 : 0.5 ** (days / HALF_LIFE_DAYS);

/** What each kind of change does to an ache anywhere in the leg, where nothing speaks of its site. Ours. */
const ANYWHERE: Readonly<Record<EventKind, number>> = {
  'pair-started': 0.25,
  'life-crossed': 0.7,
  'load-jump': 0.8,
  'harder-ground': 0.5,
  'race-pair-trained': 0.4,
  'camber-changed': 0.4,
};
/** An aged pair is felt in feet, shins and knees (handbook 08). */
const FELT_WHEN_SPENT: ReadonlySet<LegRegion> = new Set(['forefoot', 'ankle', 'knee', 'ground']);
/** A stiff, tall race pair moves load to calf and forefoot. Common practice. */
const FELT_IN_RACERS: ReadonlySet<LegRegion> = new Set(['forefoot', 'ankle']);

/** A slope to the side is taken up by ankle, knee and hip. Common practice. */
const FELT_BY_CAMBER: ReadonlySet<LegRegion> = new Set(['ankle', 'knee', 'hip']);

/** What is not known of a shoe is taken to be usual. */
const USUAL: FeatureValues = Object.fromEntries(FEATURE_IDS.map((id) => [id, FEATURES[id].usual]));
const whole = (features: FeatureValues): FeatureValues => ({ ...USUAL, ...features });

function loadAt(region: LegRegion, from: FeatureValues | null, to: FeatureValues): RegionChange['direction'] {
  if (!from) return 'none';
  return (
    whatIf(scenarioOf(whole(from)), scenarioOf(whole(to))).find((change) => change.region === region)
      ?.direction ?? 'none'
  );
}

/** How far a change can reach a site, 0 … 1, with what it rests on. */
function reach(event: LineEvent, region: LegRegion): { share: number; because: string } {
  const usual = ANYWHERE[event.kind];
  switch (event.kind) {
    case 'pair-started': {
      const way = loadAt(region, event.from, event.to);
      if (way === 'up')
        return { share: 0.9, because: 'it loads this part of the leg more than the one before' };
      if (way === 'down')
        return { share: 0.1, because: 'it loads this part of the leg less than the one before' };
      return { share: usual, because: 'another pair, with nothing known that would load this part more' };
    }
    case 'life-crossed':
      return FELT_WHEN_SPENT.has(region)
        ? { share: usual, because: 'a spent midsole is felt in feet, shins and knees first' }
        : { share: usual / 2, because: 'a spent midsole is felt lower down first' };
    case 'race-pair-trained':
      return FELT_IN_RACERS.has(region)
        ? { share: 0.7, because: 'a stiff, tall pair moves load to calf and forefoot' }
        : { share: usual / 2, because: 'a stiff, tall pair is felt lower down first' };
    case 'load-jump':
      return {
        share: Math.min(1, usual * (0.6 + 0.3 * event.times)),
        because: 'more than the body was used to',
      };
    case 'camber-changed':
      return FELT_BY_CAMBER.has(region)
        ? {
            share: 0.6,
            because: 'a road that falls to one side loads one foot and one side of leg and hip more',
          }
        : { share: usual / 2, because: 'another camber is felt at ankle, knee and hip first' };
    case 'harder-ground':
      return { share: usual, because: 'harder ground is felt all along the leg' };
  }
}

export interface Cause {
  event: LineEvent;
  /** Days before the ache. */
  days: number;
  /** Between 0 and 1; together with the others of this ache at most 1. */
  weight: number;
  because: string;
}

export interface AcheReading {
  causes: Cause[];
  /** What to ask to tell the first two apart, or of the only one; null without any. */
  ask: string | null;
  /** Asked before anything else is thought of. */
  first: string | null;
}

const BONE_STRESS_FIRST =
  'First: is one spot on the bone sore to a finger, does a hop hurt there, does it ache at night? Then it is looked at as a bone stress injury before any shoe is blamed.';

const ASKS: Readonly<Record<EventKind, string>> = {
  'pair-started': 'Does it ache less in the pair before, or in another pair?',
  'life-crossed': 'Does it go within a week in a fresh pair of the same model?',
  'load-jump': 'Did it begin in the week of more distance, and ease in a lighter week?',
  'harder-ground': 'Does it ache less on soft ground, in the same pair?',
  'race-pair-trained': 'Does it ache only after sessions in the race pair?',
  'camber-changed': 'Does it go when the other side of the road, or a level way, is taken?',
};

/** What tells the first apart from the second, or from nothing that was written down. */
function questionFor(first: EventKind, second: EventKind | undefined): string {
  const ask = ASKS[first];
  if (second === undefined) return ask;
  if (second === first) return `${ask} Which of the two came first?`;
  return `${ask} If not: ${ASKS[second].charAt(0).toLowerCase()}${ASKS[second].slice(1)}`;
}

/**
 * What changed before an ache and could reach its site, the likeliest first. Never a diagnosis: it says what to ask.
 *
 * @param since first day of the ache
 */
export function causesOf(site: AcheSite, since: string, events: readonly LineEvent[]): AcheReading {
  const region = REGION_OF[site];
  const raw = events.flatMap((event): Cause[] => {
    const days = daysBetween(event.on, since);
    const { share, because } = reach(event, region);
    const weight = timeWeight(days) * share;
    return weight > 0.02 ? [{ event, days, weight, because }] : [];
  });
  // Something that nobody wrote down is always possible.
  const total = raw.reduce((sum, { weight }) => sum + weight, 0.5);
  const causes = raw
    .map((cause) => ({ ...cause, weight: cause.weight / total }))
    .toSorted((a, b) => b.weight - a.weight);
  const [likeliest, second] = causes;
  return {
    causes,
    ask: likeliest ? questionFor(likeliest.event.kind, second?.event.kind) : null,
    first: BONY.has(site) ? BONE_STRESS_FIRST : null,
  };
}
