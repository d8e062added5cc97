import type { ShoeModel } from '../catalogue/model';
import { memoize } from '../memo/memoize';
import { activePushes, type Specification, type Target } from '../prescribe/engine/specification';
import { utilityAt } from '../prescribe/engine/utility';
import { awaitedInWords, hasLimit, isFirm, targetInWords } from '../prescribe/explain/in-words';
import { axisOf } from '../shoe/feature-kinds';
import { type FeatureId, type FeatureValue, featureOf } from '../shoe/features';
import { measuringErrorOf } from '../shoe/readings/readings';

/** What a model has of a feature: its seat stands as high as its sole where no heel height of its own is stated. */
export const featureIn = (
  { features }: Pick<ShoeModel, 'features'>,
  id: FeatureId,
): FeatureValue | undefined => features[id] ?? (id === 'heelHeight' ? features.heelStack : undefined);

/** Half a step of the grid: a model may state 9.8 mm where the grid has 10. */
export const slackOf = (target: Target): number => {
  const feature = featureOf(target.feature);
  return feature.kind === 'choice' ? 0 : axisOf(feature).step / 2;
};

/** Between two grades a value belongs to either; closer than this nobody grades. */
const HALF_GRADE = 0.5;

/** How far beyond a band nobody can tell from inside it. */
const indistinct = ({ feature }: Target): number =>
  featureOf(feature).kind === 'grade' ? HALF_GRADE : measuringErrorOf(feature);

/** Whether a value lies in a target's band or among its options. `within` widens the band by what nobody can tell apart. */
export function isInside(
  target: Target,
  value: FeatureValue,
  within: 'exactly' | 'as measured' = 'exactly',
): boolean {
  if (target.kind === 'options') return target.options.includes(String(value));
  const slack = within === 'exactly' ? slackOf(target) : Math.max(slackOf(target), indistinct(target));
  return Number(value) >= target.band.from - slack && Number(value) <= target.band.to + slack;
}

/** What is wanted at least so much must be met at least in part. */
const WEIGHTY = 2;
const IN_PART = 0.25;

/** Whether a value fails outright what is wanted moderately or more: a pair that nobody would put on this foot. */
function failsOutright(target: Target, value: FeatureValue): boolean {
  const pulls = activePushes(target).filter(({ strength }) => strength !== 'limit');
  const weight = pulls.reduce((sum, push) => sum + push.weight, 0);
  const served = pulls.reduce((sum, push) => sum + push.weight * utilityAt(push.want, value), 0);
  return target.decision === undefined && weight >= WEIGHTY && served < IN_PART * weight;
}

/** Whether most options of a choice are wanted: a model that does not say which it has is not held to have another. */
const isCommon = (target: Target): boolean => {
  const feature = featureOf(target.feature);
  return (
    target.kind === 'options' &&
    feature.kind === 'choice' &&
    2 * target.options.length > Object.keys(feature.options).length
  );
};

/** Where a model that breaks no limit stands: what cannot be judged yet, and which firm targets it misses or others it fails outright. */
export interface Standing {
  /** Limits that cannot be judged for want of a value or an amount, in words. */
  provisional: string[];
  /** Firm targets that it misses by more than anybody can tell, or about which nobody knows. */
  misses: Target[];
}

/** What a target demands of every model that is held against it. */
interface Demand {
  target: Target;
  /** Said of every model: a limit that waits for an amount. */
  waits: string | null;
  /** Said of a model that does not state the feature: a limit speaks of it. */
  unstated: string | null;
  /** Whether a model that does not state the feature misses the target. */
  missedUnstated: boolean;
  isMissed: (value: FeatureValue) => boolean;
}

function demandOf(target: Target): Demand {
  const { label } = featureOf(target.feature);
  // A target that still lacks an amount is not resolved: nothing is held against it.
  const isResolved = target.awaits.length === 0;
  const firm = isFirm(target);
  return {
    target,
    waits: target.awaits.some(({ strength }) => strength === 'limit')
      ? `${label} ${awaitedInWords(target)}.`
      : null,
    unstated: hasLimit(target) ? `${label} is not stated: check it (${targetInWords(target)}).` : null,
    missedUnstated: isResolved && firm && !isCommon(target),
    isMissed: (value) =>
      isResolved && (firm ? !isInside(target, value, 'as measured') : failsOutright(target, value)),
  };
}

/** Thousands of models are held against one specification. */
const demandsOf = memoize(({ targets }: Specification): readonly Demand[] =>
  targets.filter(({ feature }) => feature !== 'toeRoom').map(demandOf),
);

/** Holds a model against limits and firm targets; one with neither fault may be proposed for a trial. */
export function standingOf(model: ShoeModel, specification: Specification): Standing {
  const provisional: string[] = [];
  const misses: Target[] = [];
  for (const { target, waits, unstated, missedUnstated, isMissed } of demandsOf(specification)) {
    if (waits !== null) provisional.push(waits);
    const value = featureIn(model, target.feature);
    if (value !== undefined) {
      if (isMissed(value)) misses.push(target);
    } else if (unstated !== null) provisional.push(unstated);
    else if (missedUnstated) misses.push(target);
  }
  return { provisional, misses };
}
