import { SIDES, type Side } from '../../findings/finding-kinds';
import { FEATURE_IDS, type FeatureId, featureOf, isPerFoot } from '../../shoe/features';
import { alternativesOf } from './alternatives';
import { decide, targetOfDecisionAlone } from './decide';
import { deadlockOn, isBeyondScale } from './limits';
import { bandOf, costAt, isAcceptable, type Settled, settle, tensionOf, withoutEach } from './settle';
import type { Awaited, Band, Deadlock, Decision, Push, Target } from './specification';

/** A place on a specification: a feature of the pair, or of one foot. */
export interface TargetPlace {
  feature: FeatureId;
  side?: Side;
}

/** Where a feature stands on a specification: once for the pair, or once for each foot. */
export const placesOfFeature = (feature: FeatureId): TargetPlace[] =>
  isPerFoot(feature) ? SIDES.map((side) => ({ feature, side })) : [{ feature }];

/** Every place of a specification in the order of the vocabulary. */
export const TARGET_PLACES: readonly TargetPlace[] = FEATURE_IDS.flatMap(placesOfFeature);

/** `lift left`, `drop`: one key for each place. */
export const placeKey = ({ feature, side }: TargetPlace): string => (side ? `${feature} ${side}` : feature);

/** What is pushed at one place, of everything that is pushed on its feature. */
export const pushesAt = ({ side }: TargetPlace, pushes: readonly Push[]): readonly Push[] =>
  side
    ? pushes.filter((push) => push.sides.includes(side)).map((push) => ({ ...push, sides: [side] }))
    : pushes;

/** Below this tension nothing pulls apart, and no alternative is looked for. */
const CALM = 0.02;

/** What is awaited at one place, of everything that is awaited on its feature. */
const awaitedAt = ({ side }: TargetPlace, awaits: readonly Awaited[]): Awaited[] =>
  side
    ? awaits.filter((entry) => entry.sides.includes(side)).map((entry) => ({ ...entry, sides: [side] }))
    : [...awaits];

interface Resolving {
  decision?: Decision | undefined;
  /** Amounts that speaking rules lack on this feature. */
  awaits?: readonly Awaited[] | undefined;
  /** Also what each push moved, and which other resolutions there are: needed where reasons are shown. */
  explained: boolean;
}

/**
 * Resolves one place: limits intersect, preferences add up, and what the clinician decided is laid over what the rules
 * said. Null where neither a rule nor a decision speaks of it. Every resolution, whole or in part, goes through here.
 */
export function resolveFeature(
  place: TargetPlace,
  pushesOnFeature: readonly Push[],
  { decision, explained, awaits = [] }: Resolving,
): { target: Target; deadlock: Deadlock | null } | null {
  const { feature, side } = place;
  const pushes = pushesAt(place, pushesOnFeature);
  const awaited = awaits.length === 0 ? awaits : awaitedAt(place, awaits);
  if (pushes.length === 0 && awaited.length === 0)
    return decision ? { target: targetOfDecisionAlone(decision), deadlock: null } : null;
  const settled = settle(feature, pushes);
  const beyond = settled.pulls.filter((push) => isBeyondScale(push, settled.values.list));
  const deadlock =
    settled.contradicting || beyond.length > 0
      ? deadlockOn(feature, [...settled.limits, ...beyond], settled.values.list, side)
      : null;
  const target = targetOf(feature, settled, { pushes, awaits: [...awaited], explained });
  return { target: decision ? decide(target, settled, decision) : target, deadlock };
}

const NO_ENDS = { low: null, high: null };

/** Where a target comes to rest, with what explains it where that is wanted. */
function targetOf(
  feature: FeatureId,
  settled: Settled,
  { pushes, awaits, explained }: { pushes: readonly Push[]; awaits: Awaited[]; explained: boolean },
): Target {
  const { values, inside, total, bestAt, weight, limits, contradicting, firmness } = settled;
  const tension = tensionOf(settled);
  const utility = weight === 0 ? 1 : total[bestAt]! / weight;
  const told = explained ? withoutEach(settled, pushes) : pushes.slice();
  const alternatives = explained && tension >= CALM ? alternativesOf(settled) : [];
  // Each target is written out at once: spreading parts into one another took longer than the arithmetic.
  if (featureOf(feature).kind === 'choice') {
    const all = values.list.map(String);
    return {
      feature,
      firmness,
      tension,
      utility,
      pushes: told,
      awaits,
      alternatives,
      kind: 'options',
      best: String(settled.best),
      options: all.filter((_, at) => isAcceptable(settled, at)),
      excluded: contradicting ? [] : all.filter((_, at) => inside[at] === 0),
    };
  }
  const { numbers } = values;
  const limit: Band | null =
    limits.length === 0 || contradicting
      ? null
      : { from: numbers[inside.indexOf(1)]!, to: numbers[inside.lastIndexOf(1)]! };
  const band = bandOf(settled);
  const ends = explained
    ? {
        low: costAt(settled, numbers.indexOf(band.from) - 1),
        high: costAt(settled, numbers.indexOf(band.to) + 1),
      }
    : NO_ENDS;
  return {
    feature,
    firmness,
    tension,
    utility,
    pushes: told,
    awaits,
    alternatives,
    kind: 'band',
    best: Number(settled.best),
    band,
    limit,
    ends,
  };
}
