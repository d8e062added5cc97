import { axisOf } from '../shoe/feature-kinds';
import { type FeatureId, type FeatureValue, featureOf, gradeName, printFeature } from '../shoe/features';
import type { DecisionKind, Push, Target, Want } from './specification';

/** A band in words: `9–12 mm`, `at least firm`, `up to 25 mm`, `rail or post`. */
export function targetInWords(target: Target): string {
  const feature = featureOf(target.feature);
  if (target.kind === 'options') {
    const all = feature.kind === 'choice' ? Object.keys(feature.options).length : 0;
    const names = (options: string[]) =>
      options.map((option) => printFeature(target.feature, option)).join(' or ');
    if (target.options.length <= all / 2 || target.options.length <= 2) return names(target.options);
    const left =
      feature.kind === 'choice'
        ? Object.keys(feature.options).filter((option) => !target.options.includes(option))
        : [];
    return left.length === 0 ? 'any' : `not ${names(left)}`;
  }
  if (feature.kind === 'choice') return String(target.best);
  const axis = axisOf(feature);
  const { from, to } = target.band;
  const name = (value: number) =>
    feature.kind === 'grade' ? gradeName(feature.anchors, value) : printFeature(target.feature, value);
  const graded = feature.kind === 'grade';
  const open = {
    low: from <= axis.from || (graded && name(from) === name(axis.from)),
    high: to >= axis.to || (graded && name(to) === name(axis.to)),
  };
  if (open.low && open.high) return 'any';
  if (feature.kind === 'grade' && name(from) === name(to)) return name(from);
  if (open.high) return `at least ${name(from)}`;
  if (open.low) return `up to ${name(to)}`;
  if (feature.kind === 'grade') return `${name(from)} to ${name(to)}`;
  return `${Math.round(from * 10) / 10}–${name(to)}`;
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

/** Strength in a word. */
export function firmnessWord(target: Target): string {
  if (target.decision && !target.decision.refused) return DECISION_WORD[target.decision.kind];
  if (target.pushes.some((push) => push.strength === 'limit' && push.setAside === undefined)) return 'limit';
  if (target.firmness >= 0.5) return 'strong';
  return target.firmness >= 0.25 ? 'moderate' : 'slight';
}
