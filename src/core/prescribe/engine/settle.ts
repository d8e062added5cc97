import { memoize } from '../../memo/memoize';
import { type FeatureId, type FeatureValue, featureOf } from '../../shoe/features';
import { measuringErrorOf } from '../../shoe/readings/readings';
import type { Band, EndCost, Push, Want } from './specification';
import { utilityAt, type Values, valuesOf } from './utility';

/** Utility may fall by this share of the weight of what binds before a value leaves the target. */
const BAND_TOLERANCE = 0.03;
/** A pull of at least this share of the heaviest binds the target; a lighter one chooses among what the others leave. */
const BINDS = 0.5;
/** Below this weight (half a slight wish) a pull is a tie-break: it chooses but never narrows. */
const TIE_BREAK = 0.5;
/** From this utility a graded wish (a curve, options of different worth) counts as met; a band is met only inside. */
const MET_WHEN_GRADED = 0.9;
const MET = 1 - 1e-6;

/** From which utility a want counts as met. */
const metFrom = (want: Want): number => ('curve' in want || 'worth' in want ? MET_WHEN_GRADED : MET);

/** A want read over all values of its feature; the same for every picture where nothing in it is an amount. */
export interface Column {
  /** The utility at each place, before a push's weight. */
  own: Float64Array;
  /** From which utility it counts as met. */
  met: number;
  /** First and last place where it is met; none where `firstMet` lies beyond `lastMet`. */
  firstMet: number;
  lastMet: number;
  /** Whether it is met everywhere between them. */
  unbroken: boolean;
}
/** Weight at which a target counts as fully firm: two strong rules. */
export const FIRM_WEIGHT = 8;

/** One feature's pushes summed over its scale, and the place where they come to rest. */
export interface Settled {
  feature: FeatureId;
  values: Values;
  limits: Push[];
  pulls: Push[];
  /** Each pull over all values, in the order of `pulls`. */
  columns: Column[];
  total: Float64Array;
  weight: number;
  /** Those of `pulls` that set where the target ends. */
  binding: number[];
  /** From where to where all of those are met; none where `low` lies beyond `high`. */
  agreed: { low: number; high: number };
  /** 1 where every limit allows the value. Where the limits contradict each other all are 1. */
  inside: Uint8Array;
  contradicting: boolean;
  bestAt: number;
  best: FeatureValue;
  firmness: number;
}

// Plain loops below: `from` with a function is many times slower, and a picture is resolved at every keystroke.

/** Sums what is wanted and finds the best allowed value. */
export function settle(feature: FeatureId, pushes: readonly Push[]): Settled {
  const values = valuesOf(featureOf(feature));
  const { list } = values;
  const limits: Push[] = [];
  const pulls: Push[] = [];
  for (const push of pushes)
    if (push.setAside === undefined) (push.strength === 'limit' ? limits : pulls).push(push);
  const allowed = allowedBy(limits, list);
  const contradicting = !allowed.includes(1);
  const inside = contradicting ? allowedBy([], list) : allowed;
  let weight = 0;
  const columns: Column[] = [];
  const total = new Float64Array(list.length);
  for (const push of pulls) {
    weight += push.weight;
    const column = columnOf(push.want, list);
    columns.push(column);
    addTo(total, push.weight, column.own);
  }
  const bestAt = bestOf(values, total, inside);
  const binding = bindingOf(pulls);
  return {
    feature,
    values,
    limits,
    pulls,
    columns,
    total,
    weight,
    binding,
    agreed: agreedBy(binding, columns, list.length - 1),
    inside,
    contradicting,
    bestAt,
    best: list[bestAt]!,
    firmness: limits.length > 0 ? 1 : Math.min(1, weight / FIRM_WEIGHT),
  };
}

/** Where every binding pull is met for certain: nothing has to be weighed there. */
function agreedBy(binding: readonly number[], columns: readonly Column[], last: number): Settled['agreed'] {
  let low = 0;
  let high = last;
  for (const index of binding) {
    const { firstMet, lastMet, unbroken } = columns[index]!;
    if (!unbroken) return { low: 0, high: -1 };
    if (firstMet > low) low = firstMet;
    if (lastMet < high) high = lastMet;
  }
  return { low, high };
}

/** Places of the pulls that bind: none where only tie-breaks speak. */
function bindingOf(pulls: readonly Push[]): number[] {
  let heaviest = 0;
  for (const { weight } of pulls) heaviest = Math.max(heaviest, weight);
  const least = Math.max(TIE_BREAK, BINDS * heaviest);
  const binding: number[] = [];
  for (let at = 0; at < pulls.length; at += 1) if (pulls[at]!.weight >= least) binding.push(at);
  return binding;
}

/**
 * Whether a value serves what binds almost as well as the best one does, and takes from no binding pull what the best
 * value gives it in full: a target is never wider than what pulled it.
 */
export function isAcceptable(settled: Settled, at: number): boolean {
  const { inside, pulls, columns, binding, bestAt, agreed } = settled;
  if (inside[at] !== 1) return false;
  if (at >= agreed.low && at <= agreed.high) return true;
  let lost = 0;
  let weight = 0;
  for (const index of binding) {
    const pull = pulls[index]!;
    const { own, met } = columns[index]!;
    const best = own[bestAt]!;
    const here = own[at]!;
    weight += pull.weight;
    if (here >= met) continue;
    if (best >= met) return false;
    lost += pull.weight * (best - here);
  }
  return lost <= BAND_TOLERANCE * weight;
}

/**
 * The unbroken run of acceptable values around the best, within the outermost values that what binds asks for. Where
 * pulls are at odds it says how far one may go for almost the same.
 */
export function bandOf(settled: Settled): Band {
  const list = settled.values.numbers;
  const { low: least, high: most } = outermost(settled);
  let low = settled.bestAt;
  let high = settled.bestAt;
  while (low > least && isAcceptable(settled, low - 1)) low -= 1;
  while (high < most && isAcceptable(settled, high + 1)) high += 1;
  // Where two wishes meet in a point, nobody measures closer than this.
  const grain = Math.round(measuringErrorOf(settled.feature) / ((list[1] ?? 1) - (list[0] ?? 0)));
  if (high - low < grain) {
    const within = (at: number) => at >= least && at <= most && settled.inside[at] === 1;
    for (let step = 1; step <= grain && within(settled.bestAt - step); step += 1)
      low = Math.min(low, settled.bestAt - step);
    for (let step = 1; step <= grain && within(settled.bestAt + step); step += 1)
      high = Math.max(high, settled.bestAt + step);
  }
  return { from: list[low]!, to: list[high]! };
}

/** First and last place that some binding pull wants in full; the whole scale where nothing binds. */
function outermost({ values, columns, binding, bestAt }: Settled): { low: number; high: number } {
  const last = values.list.length - 1;
  if (binding.length === 0) return { low: 0, high: last };
  let low = bestAt;
  let high = bestAt;
  for (const index of binding) {
    const { firstMet, lastMet } = columns[index]!;
    if (firstMet > lastMet) continue;
    low = Math.min(low, firstMet);
    high = Math.max(high, lastMet);
  }
  return { low, high };
}

/** What going one step beyond a place of the scale costs: the limit that forbids it, or the pull that loses most. */
export function costAt(settled: Settled, at: number): EndCost | null {
  const { values, limits, pulls, columns, bestAt, binding } = settled;
  const value = values.list[at];
  if (value === undefined) return null;
  const of = ({ rule, finding }: Push, limit: boolean): EndCost => ({ rule, finding, limit });
  const forbids = limits.find((push) => utilityAt(push.want, value) < 1);
  if (forbids && !settled.contradicting) return of(forbids, true);
  let most = 0;
  let loser: Push | null = null;
  for (const index of binding) {
    const push = pulls[index]!;
    const loss = push.weight * (columns[index]!.own[bestAt]! - columns[index]!.own[at]!);
    if (loss > most + 1e-9) [most, loser] = [loss, push];
  }
  return loser && of(loser, false);
}

/** The pushes, each with where the target would be without it. */
export function withoutEach(settled: Settled, pushes: readonly Push[]): Push[] {
  const { values, total, inside, limits, pulls, columns, best } = settled;
  const rest = new Float64Array(total.length);
  const withoutPull = (index: number): FeatureValue => {
    rest.set(total);
    addTo(rest, -pulls[index]!.weight, columns[index]!.own);
    return values.list[bestOf(values, rest, inside)]!;
  };
  const withoutLimit = (limit: Push): FeatureValue => {
    const others = limits.filter((other) => other !== limit);
    const wider = allowedBy(others, values.list);
    return values.list[bestOf(values, total, wider.includes(1) ? wider : allowedBy([], values.list))]!;
  };
  return pushes.map((push) => {
    const pull = pulls.indexOf(push);
    const without = pull >= 0 ? withoutPull(pull) : limits.includes(push) ? withoutLimit(push) : best;
    return { ...push, without };
  });
}

/** Weighted mean of how far each push sits from what it wants, in shares of its reach. */
export function tensionOf({ pulls, weight, best }: Settled): number {
  if (weight === 0) return 0;
  const given = pulls.reduce(
    (sum, push) => sum + push.weight * Math.sqrt(Math.max(0, 1 - utilityAt(push.want, best))),
    0,
  );
  return given / weight;
}

function addTo(total: Float64Array, weight: number, own: Float64Array): void {
  for (let at = 0; at < total.length; at += 1) total[at]! += weight * own[at]!;
}

const columnOf = memoize((want: Want, list: readonly (number | string)[]): Column => {
  const own = new Float64Array(list.length);
  const met = metFrom(want);
  let firstMet = list.length;
  let lastMet = -1;
  let places = 0;
  for (let at = 0; at < list.length; at += 1) {
    own[at] = utilityAt(want, list[at]!);
    if (own[at]! < met) continue;
    firstMet = Math.min(firstMet, at);
    lastMet = at;
    places += 1;
  }
  return { own, met, firstMet, lastMet, unbroken: places === lastMet - firstMet + 1 };
});

const allowedEverywhere = memoize((list: readonly (number | string)[]) =>
  new Uint8Array(list.length).fill(1),
);

/** 1 where every limit allows the value, else 0. */
function allowedBy(limits: readonly Push[], list: readonly (number | string)[]): Uint8Array {
  if (limits.length === 0) return allowedEverywhere(list);
  const inside = new Uint8Array(list.length).fill(1);
  for (const limit of limits) {
    const { own } = columnOf(limit.want, list);
    for (let at = 0; at < list.length; at += 1) if (own[at]! < 1) inside[at] = 0;
  }
  return inside;
}

/** Place of the highest utility; on a plateau the one nearest to a usual shoe, so that nothing moves without a reason. */
function bestOf({ away }: Values, total: Float64Array, inside: Uint8Array): number {
  let best = 0;
  let highest = Number.NEGATIVE_INFINITY;
  let nearest = Number.POSITIVE_INFINITY;
  for (let at = 0; at < total.length; at += 1) {
    if (inside[at] === 0) continue;
    const sum = total[at]!;
    if (sum > highest + 1e-9 || (sum > highest - 1e-9 && away[at]! < nearest)) {
      best = at;
      highest = Math.max(sum, highest);
      nearest = away[at]!;
    }
  }
  return best;
}
