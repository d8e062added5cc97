import type { ShoeModel } from '../catalogue/model';
import type { Side } from '../findings/finding-kinds';
import { memoize } from '../memo/memoize';
import { FIRM_WEIGHT } from '../prescribe/engine/settle';
import { activePushes, type Specification, type Target, type Want } from '../prescribe/engine/specification';
import { utilityAt, valuesOf } from '../prescribe/engine/utility';
import { targetInWords } from '../prescribe/explain/in-words';
import { axisOf } from '../shoe/feature-kinds';
import { FEATURE_IDS, type FeatureValue, featureOf, printFeature } from '../shoe/features';
import { type Lineage, pullOfLineage } from './lineage';
import { featureIn, isInside, slackOf, standingOf } from './standing';

/** A reason for or against a model on one feature. */
export interface FeatureReason {
  feature: Target['feature'];
  label: string;
  has: string;
  wanted: string;
  /** 0 … 1, how well the model's value serves the target. */
  serves: number;
  /** Whether the value lies in the target's band or among its options. */
  inside: boolean;
  weight: number;
  /** The one foot that it fails, where only one of them wants otherwise. */
  fails: Side | null;
}

export interface Ranked {
  id: string;
  /** 0 … 1: weighted share of what the specification wants. */
  score: number;
  /** Share of the weight that rests on values nobody knows. */
  unknown: number;
  /** How far the score may be off because of them: one standard deviation, every unknown value as likely. */
  spread: number;
}

export interface Excluded {
  id: string;
  /** Limits it breaks, in words. */
  by: { feature: Target['feature']; sentence: string }[];
}

export interface Ranking {
  ranked: Ranked[];
  excluded: Excluded[];
}

/** A target prepared for scoring thousands of models: utility by grid index, and what it is worth when unknown. */
interface Column {
  target: Target;
  weight: number;
  serves: (value: FeatureValue) => number;
  whenUnknown: number;
  /** Variance of the utility over the values it could have. */
  unsure: number;
  allows: (value: FeatureValue) => boolean;
  /** Place of its feature in a model's row. */
  place: number;
  /** Whether a limit speaks at all. */
  limited: boolean;
  /** Which limit a value breaks, in words; made once a value, because thousands of models share it. */
  breaks: (value: FeatureValue) => Excluded['by'][number];
}

/** What a clinician decided counts as two strong rules, a loosened target as a slight one. */
const DECIDED_WEIGHT = { pin: 8, overrule: 8, loosen: 1 } as const;

/** The one pull that stands for a decision, where one was made and could be followed. */
function decidedPulls(target: Target): { weight: number; want: Want }[] | null {
  if (!target.decision || target.decision.refused) return null;
  const feature = featureOf(target.feature);
  const want: Want =
    target.kind === 'band' && feature.kind !== 'choice'
      ? { band: target.band, reach: feature.reach }
      : { prefer: target.kind === 'options' ? target.options : [] };
  return [{ weight: DECIDED_WEIGHT[target.decision.kind], want }];
}

function column(target: Target): Column {
  const feature = featureOf(target.feature);
  const active = activePushes(target);
  const pulls = decidedPulls(target) ?? active.filter((push) => push.strength !== 'limit');
  const limits = active.filter((push) => push.strength === 'limit');
  const weight = pulls.reduce((sum, push) => sum + push.weight, 0);
  const serve = (value: FeatureValue) =>
    weight === 0
      ? 1
      : pulls.reduce((sum, push) => sum + push.weight * utilityAt(push.want, value), 0) / weight;
  const values = valuesOf(feature).list;
  const table = values.map(serve);
  const whenUnknown = table.reduce((sum, utility) => sum + utility, 0) / table.length;
  const unsure = table.reduce((sum, utility) => sum + (utility - whenUnknown) ** 2, 0) / table.length;
  const limited = limits.length > 0;
  const place = FEATURE_IDS.indexOf(target.feature);
  const sentences = new Map<FeatureValue, Excluded['by'][number]>();
  const breaks = (value: FeatureValue) => {
    const before = sentences.get(value);
    if (before) return before;
    const sentence = brokenLimit(target, value);
    sentences.set(value, sentence);
    return sentence;
  };
  const slack = slackOf(target);
  const allows = (value: FeatureValue) =>
    limits.every((limit) => {
      if (!('band' in limit.want)) return utilityAt(limit.want, value) === 1;
      const x = Number(value);
      return x >= limit.want.band.from - slack && x <= limit.want.band.to + slack;
    });
  if (feature.kind === 'choice') {
    const byOption = new Map(values.map((value, at) => [value, table[at]!]));
    return {
      target,
      weight,
      whenUnknown,
      unsure,
      allows,
      limited,
      place,
      breaks,
      serves: (value) => byOption.get(value) ?? 0,
    };
  }
  const { from, step } = axisOf(feature);
  const last = table.length - 1;
  const serves = (value: FeatureValue) =>
    table[Math.min(last, Math.max(0, Math.round((Number(value) - from) / step)))]!;
  return { target, weight, whenUnknown, unsure, allows, limited, place, breaks, serves };
}

type Row = readonly (FeatureValue | undefined)[];
/** A model's values in the order of the vocabulary: a place in a row is found many times faster than a name. */
const rowOf = memoize((model: ShoeModel): Row => FEATURE_IDS.map((id) => featureIn(model, id)));

/** Targets that a model can meet or miss; room beyond the toes is a matter of its size. */
const columnsOf = (specification: Specification): Column[] =>
  specification.targets.filter((target) => target.feature !== 'toeRoom').map(column);

/**
 * Ranks models by how much of the specification's weighted utility they give; what is lost counts against at least the
 * weight of two strong rules, so that one slight wish alone does not rank as a firm one. A limit excludes and says so;
 * an unknown value counts as the mean over what it could be, and is reported as uncertainty. A model that served this patient,
 * or another version of it, counts as one more wish that is met; one that failed as one that is not.
 */
export function rank(
  models: readonly ShoeModel[],
  specification: Specification,
  lineage: Lineage = new Map(),
): Ranking {
  const columns = columnsOf(specification);
  const past = pullOfLineage(lineage, specification.school);
  const total = columns.reduce((sum, { weight }) => sum + weight, past?.weight ?? 0);
  const share = 1 / Math.max(total, FIRM_WEIGHT);
  const ranked: Ranked[] = [];
  const excluded: Excluded[] = [];
  for (const model of models) {
    const row = rowOf(model);
    let sum = 0;
    let unknown = 0;
    let variance = 0;
    let broken: Excluded['by'] | null = null;
    for (const entry of columns) {
      const value = row[entry.place];
      if (value === undefined) {
        sum += entry.weight * entry.whenUnknown;
        unknown += entry.weight;
        variance += entry.weight ** 2 * entry.unsure;
        continue;
      }
      if (entry.limited && !entry.allows(value)) broken = [...(broken ?? []), entry.breaks(value)];
      sum += entry.weight * entry.serves(value);
    }
    if (past) sum += past.weight * past.serves(model.id);
    if (broken) excluded.push({ id: model.id, by: broken });
    else
      ranked.push({
        id: model.id,
        score: 1 - (total - sum) * share,
        unknown: unknown * share,
        spread: Math.sqrt(variance) * share,
      });
  }
  ranked.sort((a, b) => b.score - a.score || (a.id < b.id ? -1 : 1));
  return { ranked, excluded };
}

function brokenLimit(target: Target, value: FeatureValue): Excluded['by'][number] {
  const because = target.pushes.find(
    (push) => push.strength === 'limit' && push.setAside === undefined && utilityAt(push.want, value) < 1,
  );
  return {
    feature: target.feature,
    sentence: `${featureOf(target.feature).label} ${printFeature(target.feature, value)}: ruled out${because ? ` (${because.finding})` : ''}`,
  };
}

/** From here a value speaks for a model. */
const SERVES_WELL = 0.85;

/** The one foot whose wishes a value does not serve; null where it serves both, or neither. */
function footFailed(target: Target, value: FeatureValue): Side | null {
  const sides = new Set(
    activePushes(target).flatMap(({ weight, want, sides: of }) =>
      weight > 0 && utilityAt(want, value) < SERVES_WELL ? of : [],
    ),
  );
  const [only] = sides;
  return sides.size === 1 && only ? only : null;
}

/** Why one model suits or does not, weightiest first; limits on values nobody knows are named to be checked. */
export function reasonsFor(
  model: ShoeModel,
  specification: Specification,
): { pro: FeatureReason[]; contra: FeatureReason[]; check: string[] } {
  const reasons: FeatureReason[] = [];
  const check = standingOf(model, specification).provisional;
  for (const { target, weight, serves } of columnsOf(specification)) {
    const value = featureIn(model, target.feature);
    const label = featureOf(target.feature).label;
    if (value === undefined || weight === 0) continue;
    reasons.push({
      feature: target.feature,
      label,
      has: printFeature(target.feature, value),
      wanted: targetInWords(target),
      serves: serves(value),
      inside: isInside(target, value),
      weight,
      fails: footFailed(target, value),
    });
  }
  // What lies inside the target speaks for a model, though some outvoted push would have liked more.
  const speaksFor = (reason: FeatureReason) => reason.serves >= SERVES_WELL || reason.inside;
  const pro = reasons.filter(speaksFor).sort((a, b) => b.weight * b.serves - a.weight * a.serves);
  const contra = reasons
    .filter((reason) => !speaksFor(reason))
    .sort((a, b) => b.weight * (1 - b.serves) - a.weight * (1 - a.serves));
  return { pro, contra, check };
}
