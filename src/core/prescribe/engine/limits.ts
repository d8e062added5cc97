import type { Side } from '../../findings/finding-kinds';
import { axisOf } from '../../shoe/feature-kinds';
import { type FeatureId, featureOf, printFeature } from '../../shoe/features';
import type { Band, Deadlock, Push } from './specification';
import { utilityAt } from './utility';

/** Sets of contradicting limits are looked for up to this size; larger ones do not occur on one scale. */
const LARGEST = 6;

/**
 * Every smallest set that cannot hold together: each fails, and holds once any one member is left out. Ordered by
 * size. Empty when all hold.
 */
export function minimalContradictions<T>(
  items: readonly T[],
  holds: (subset: readonly T[]) => boolean,
): T[][] {
  if (holds(items)) return [];
  const found: T[][] = [];
  const grow = (size: number, from: number, chosen: T[]): void => {
    if (chosen.length === size) {
      if (found.some((set) => set.every((item) => chosen.includes(item)))) return;
      if (!holds(chosen)) found.push([...chosen]);
      return;
    }
    for (let at = from; at <= items.length - (size - chosen.length); at += 1)
      grow(size, at + 1, [...chosen, items[at]!]);
  };
  for (let size = 1; size <= Math.min(items.length, LARGEST); size += 1) grow(size, 0, []);
  return found;
}

/** Whether some value is allowed by every limit: a limit allows what it gives full marks. */
const someValue =
  (values: readonly (number | string)[]) =>
  (limits: readonly Push[]): boolean =>
    values.some((value) => limits.every((limit) => utilityAt(limit.want, value) === 1));

const namesOf = (set: readonly Push[]): string[] => [...new Set(set.map((push) => push.rule))];

function deadlockOf(feature: FeatureId, what: string, sets: Push[][], side?: Side): Deadlock | null {
  const [first] = sets;
  if (!first) return null;
  const [alone] = first;
  if (first.length === 1 && alone) return beyondScale(feature, what, sets, alone, side);
  const findings = [...new Set(first.map((push) => push.finding))];
  const more = sets.length > 1 ? ` ${sets.length - 1} more such set${sets.length > 2 ? 's' : ''}.` : '';
  return {
    feature,
    ...(side ? { side } : {}),
    sets: sets.map(namesOf),
    rules: namesOf(first),
    message: `${what}${side ? `, ${side}` : ''}: ${findings.join(' and ')} cannot both hold. Set one aside with a reason.${more}`,
  };
}

/** What one push asks for lies beyond anything on the scale: that is said, never rounded to the scale's end. */
function beyondScale(
  feature: FeatureId,
  what: string,
  sets: Push[][],
  push: Push,
  side: Side | undefined,
): Deadlock {
  const definition = featureOf(feature);
  const say = (value: number) => printFeature(feature, value);
  let asked = 'what no shoe has';
  if ('band' in push.want && definition.kind !== 'choice') {
    const { from, to } = axisOf(definition);
    const { band } = push.want;
    asked =
      band.from > to
        ? `${say(band.from)}, and no shoe has more than ${say(to)}`
        : `${say(band.to)}, and no shoe has less than ${say(from)}`;
  }
  return {
    feature,
    ...(side ? { side } : {}),
    sets: sets.map(namesOf),
    rules: [push.rule],
    message: `${what}${side ? `, ${side}` : ''}: ${push.finding} asks for ${asked}. Change what asks for it, or set it aside with a reason.`,
  };
}

/** Whether no value of the scale comes near what a push asks for. */
export const isBeyondScale = (push: Push, values: readonly (number | string)[]): boolean =>
  'band' in push.want &&
  typeof values[0] === 'number' &&
  (push.want.band.from > Number(values.at(-1)) || push.want.band.to < values[0]);

/** The deadlock of what must hold on one feature, null when some value satisfies it all. */
export function deadlockOn(
  feature: FeatureId,
  limits: readonly Push[],
  values: readonly (number | string)[],
  side?: Side,
): Deadlock | null {
  return deadlockOf(
    feature,
    featureOf(feature).label,
    minimalContradictions(limits, someValue(values)),
    side,
  );
}

const HEIGHTS = ['drop', 'heelStack', 'forefootStack'] as const;

/**
 * Drop is heel stack less forefoot stack: limits that each leave room on their own scale can still be impossible
 * together.
 */
export function deadlockOfHeights(pushes: ReadonlyMap<FeatureId, readonly Push[]>): Deadlock | null {
  const limits = HEIGHTS.flatMap((feature) =>
    (pushes.get(feature) ?? [])
      .filter((push) => push.strength === 'limit' && push.setAside === undefined)
      .map((push) => ({ feature, push })),
  );
  if (new Set(limits.map((limit) => limit.feature)).size < 2) return null;
  const left = (feature: FeatureId, subset: typeof limits): Band => {
    const definition = featureOf(feature);
    const axis = definition.kind === 'choice' ? { from: 0, to: 0 } : axisOf(definition);
    return subset.reduce(
      (band, limit) =>
        limit.feature === feature && 'band' in limit.push.want
          ? {
              from: Math.max(band.from, limit.push.want.band.from),
              to: Math.min(band.to, limit.push.want.band.to),
            }
          : band,
      { from: axis.from, to: axis.to },
    );
  };
  const holds = (subset: readonly (typeof limits)[number][]) => {
    const [drop, heel, fore] = HEIGHTS.map((feature) => left(feature, [...subset]));
    return heel!.to - fore!.from >= drop!.from && heel!.from - fore!.to <= drop!.to;
  };
  // A contradiction on one scale alone is that scale's own deadlock.
  const across = minimalContradictions(limits, holds).filter(
    (set) => new Set(set.map((limit) => limit.feature)).size > 1,
  );
  return deadlockOf(
    'drop',
    'Heights: drop is heel stack less forefoot stack',
    across.map((set) => set.map((limit) => limit.push)),
  );
}
