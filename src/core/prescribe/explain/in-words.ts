import { definitionOf, isFindingId } from '../../findings/findings';
import { axisOf } from '../../shoe/feature-kinds';
import { type FeatureId, type FeatureValue, featureOf, gradeName, printFeature } from '../../shoe/features';
import { WEIGHT } from '../engine/gather';
import { FIRM_WEIGHT } from '../engine/settle';
import {
  activePushes,
  type Band,
  type ChoiceTarget,
  type DecisionKind,
  type NumericTarget,
  type Push,
  type Specification,
  type Target,
  type Want,
} from '../engine/specification';

/** Which ends of a numeric target reach the end of its scale. */
function openEnds({ feature, band }: NumericTarget): { low: boolean; high: boolean } {
  const definition = featureOf(feature);
  if (definition.kind === 'choice') return { low: true, high: true };
  const axis = axisOf(definition);
  return { low: band.from <= axis.from, high: band.to >= axis.to };
}

/** Options that a target leaves out. */
const leftOut = ({ feature, options }: ChoiceTarget): string[] => {
  const definition = featureOf(feature);
  return definition.kind === 'choice'
    ? Object.keys(definition.options).filter((option) => !options.includes(option))
    : [];
};

/** Whether a target accepts whatever a shoe has: nothing is asked of this feature then. */
export function acceptsEverything(target: Target): boolean {
  if (target.kind === 'options') return target.options.length > 2 && leftOut(target).length === 0;
  const { low, high } = openEnds(target);
  return low && high;
}

/** A band of grades in words, rounded inwards: the words admit nothing that the numbers exclude. */
function gradesInWords(
  anchors: readonly string[],
  { from, to }: Band,
  open: { low: boolean; high: boolean },
) {
  const [first, last] = [Math.ceil(from), Math.floor(to)];
  // A band between two grades is named by both.
  if (first > last) return `between ${gradeName(anchors, last)} and ${gradeName(anchors, first)}`;
  if (first === last) return gradeName(anchors, first);
  if (open.high) return `at least ${gradeName(anchors, first)}`;
  if (open.low) return `up to ${gradeName(anchors, last)}`;
  return `${gradeName(anchors, first)} to ${gradeName(anchors, last)}`;
}

/** What a target still needs before it can be judged: `cannot be judged until “Set heel rise” is known`. */
export const awaitedInWords = ({ awaits }: Pick<Target, 'awaits'>): string => {
  // What is derived is never typed in: named is what it follows from.
  const asked = awaits.flatMap(({ amount }) => {
    const { step, examinedBy = [] } = definitionOf(amount);
    const sources = examinedBy.filter(isFindingId);
    return step === null && sources.length > 0 ? sources : [amount];
  });
  const names = [...new Set(asked.map((id) => `“${definitionOf(id).label}”`))];
  return names.length === 0 ? '' : `cannot be judged until ${names.join(' and ')} is known`;
};

/** A target in words: `9–12 mm`, `at least firm`, `up to 25 mm`, `rail or post`, `any`; a slight one says `preferably`. */
export function targetInWords(target: Target): string {
  if (acceptsEverything(target)) return target.awaits.length > 0 ? 'not known yet' : 'any';
  const words = rangeInWords(target);
  return isSlight(target) ? `preferably ${words}` : words;
}

function rangeInWords(target: Target): string {
  const feature = featureOf(target.feature);
  if (target.kind === 'options') {
    const names = (options: string[]) =>
      options.map((option) => printFeature(target.feature, option)).join(' or ');
    const others = leftOut(target);
    const isFew = target.options.length <= 2 || target.options.length <= others.length;
    return isFew ? names(target.options) : `not ${names(others)}`;
  }
  if (feature.kind === 'choice') return String(target.best);
  const { from, to } = target.band;
  const open = openEnds(target);
  if (feature.kind === 'grade') return gradesInWords(feature.anchors, target.band, open);
  const name = (value: number) => printFeature(target.feature, value);
  if (open.high) return `at least ${name(from)}`;
  if (open.low) return `up to ${name(to)}`;
  return from === to ? name(from) : `${Math.round(from * 10) / 10}–${name(to)}`;
}

/** What one push asks for: `at least 10 mm`, `rail or post`, `not slip-on`, `best 40 mm, worse by 80 mm`. */
export function wantInWords(feature: FeatureId, want: Want): string {
  const say = (value: FeatureValue) => printFeature(feature, value);
  if ('prefer' in want) return want.prefer.map(say).join(' or ');
  if ('avoid' in want) return `not ${want.avoid.map(say).join(' or ')}`;
  if ('worth' in want) return worthInWords(feature, want.worth);
  if ('curve' in want) {
    const top = Math.max(...want.curve.map(([, utility]) => utility));
    const peak = want.curve.filter(([, utility]) => utility === top).map(([value]) => value);
    const from = peak[0]!;
    const to = peak.at(-1)!;
    return from === to ? `best ${say(from)}` : `best ${say(from)} to ${say(to)}`;
  }
  const definition = featureOf(feature);
  if (definition.kind === 'choice') return '';
  const axis = axisOf(definition);
  const { from, to } = want.band;
  if (from === to) return say(from);
  if (to >= axis.to) return `at least ${say(from)}`;
  if (from <= axis.from) return `at most ${say(to)}`;
  return `${say(from)} to ${say(to)}`;
}

/** Graded options, best first: `wedge before block before platform; not slender`. */
export function worthInWords(feature: FeatureId, worth: Readonly<Record<string, number>>): string {
  const ordered = Object.entries(worth).sort((a, b) => b[1] - a[1]);
  const liked = ordered.filter(([, utility]) => utility > 0);
  const steps: string[] = [];
  for (let at = 0; at < liked.length; ) {
    const level = liked[at]![1];
    const same = liked.filter(([, utility]) => utility === level);
    steps.push(same.map(([option]) => printFeature(feature, option)).join(' or '));
    at += same.length;
  }
  const refused = ordered
    .filter(([, utility]) => utility === 0)
    .map(([option]) => printFeature(feature, option));
  return [steps.slice(0, 3).join(' before '), refused.length > 0 ? `not ${refused.join(' or ')}` : '']
    .filter(Boolean)
    .join('; ');
}

export type Direction = 'up' | 'down' | 'toward' | 'limit' | 'holds';

/** Which way a push moves its target, by comparing with where it would be without it. */
export function directionOf(target: Target, push: Push): Direction {
  if (push.strength === 'limit') return 'limit';
  if (target.kind === 'options') return push.without === target.best ? 'holds' : 'toward';
  const moved = target.best - Number(push.without);
  if (Math.abs(moved) > 1e-9) return moved > 0 ? 'up' : 'down';
  return 'holds';
}

/** How far a push moved its target, in words. */
export function movedInWords(target: Target, push: Push): string {
  if (push.setAside !== undefined) return 'set aside';
  const direction = directionOf(target, push);
  const otherwise = push.without === null ? '' : printFeature(target.feature, push.without);
  if (direction === 'limit') return push.without === target.best ? 'limit' : `limit (otherwise ${otherwise})`;
  if (direction === 'holds') return 'agrees';
  return `${direction === 'toward' ? '' : `${direction}, `}otherwise ${otherwise}`;
}

/** Tension worth showing: on average the pushes sit a twentieth of their reach from what they want. */
export const isTense = (target: Target): boolean => target.tension >= 0.05 && target.pushes.length > 1;

export const DECISION_WORD: Record<DecisionKind, string> = {
  pin: 'pinned',
  loosen: 'loosened',
  overrule: 'overruled',
};

/** Whether a limit that nobody set aside speaks of a target. */
export const hasLimit = (target: Target): boolean =>
  activePushes(target).some(({ strength }) => strength === 'limit');

/** Whether a target is strong: at least as much weight as one strong wish, and more than slight wishes that agree. */
export function isFirm(target: Target): boolean {
  if (target.decision && !target.decision.refused) return target.decision.kind !== 'loosen';
  const heaviest = Math.max(0, ...activePushes(target).map(({ weight }) => weight));
  const weight = activePushes(target).reduce((sum, push) => sum + push.weight, 0);
  return weight >= FIRM * FIRM_WEIGHT && heaviest >= WEIGHT.moderate;
}

/** Strength in a word: many slight wishes that agree are never more than moderate. */
export function firmnessWord(target: Target): string {
  if (target.decision && !target.decision.refused) return DECISION_WORD[target.decision.kind];
  if (hasLimit(target)) return 'limit';
  if (isFirm(target)) return 'strong';
  return target.firmness >= FIRM / 2 ? 'moderate' : 'slight';
}

/** Share of full firmness that one strong wish gives. */
const FIRM = 0.5;

/** Whether one slight wish, or less, is all that speaks: a preference, not a demand. */
const isSlight = (target: Target): boolean =>
  target.decision === undefined &&
  !hasLimit(target) &&
  target.firmness > 0 &&
  target.firmness <= WEIGHT.slight / FIRM_WEIGHT;

/** Leading targets first: limits, then what most weight stands behind; those that accept everything are left out. */
export const leadingTargets = ({ targets }: Pick<Specification, 'targets'>): Target[] =>
  targets
    .filter((target) => !acceptsEverything(target) || target.awaits.length > 0)
    .toSorted((a, b) => b.firmness - a.firmness || Number(isTense(b)) - Number(isTense(a)));
