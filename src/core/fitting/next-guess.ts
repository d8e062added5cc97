import type { ShoeModel } from '../catalogue/model';
import {
  differenceInWords,
  FEEL_AXES,
  FEEL_AXIS_IDS,
  FELT,
  type FeelAxis,
  type FeelDifference,
  feelDifference,
  feelOf,
} from '../match/feel';
import type { Ranked } from '../match/rank';
import { omitUndefined } from '../tables/omit-undefined';
import { comfortOf, FEELS, type TryOn } from './try-on';

/** What the ratings of a fitting say about which way to go, and the pair to try next. */
export interface NextGuess {
  /** Points of comfort that a felt step on an axis is worth to this wearer, with its standard deviation. */
  taste: Record<FeelAxis, { points: number; sd: number }>;
  /** The ways worth going, in words; empty when nothing is known. */
  direction: string;
  candidates: { id: string; points: number; differs: string }[];
  /** Pairs of earlier visits that speak too. */
  earlier: number;
}

/** Pairs of earlier visits that still speak, the latest. Ours. */
export const MOST_FELT_BEFORE = 24;

/** What was felt in a pair at an earlier visit. */
export type FeltBefore = Pick<TryOn, 'model' | 'comfort' | 'comfortAgain' | 'feels'>;

/** What a fitting leaves for the next visit: pairs that were rated, or of which something was said. */
export const feltBefore = (tryOns: readonly TryOn[]): FeltBefore[] =>
  tryOns
    .filter((tryOn) => comfortOf(tryOn) !== null || (tryOn.feels ?? []).length > 0)
    .map(({ model, comfort, comfortAgain, feels }) => omitUndefined({ model, comfort, comfortAgain, feels }));

/** Before anything is felt a step is worth nothing, give or take this many points. Common practice. */
const PRIOR_SD = 6;
/** Ratings of the same pair scatter by about this. Source: Mills 2010, a real difference is about 10 of 100, from memory. */
const RATING_SD = 7;
/** From visit to visit a wearer’s ratings and words scatter by so much more: feet, use and mood are others. Ours. */
const BETWEEN_VISITS_SD = 10;
/** “Too firm” says that a step softer would be worth about this. Common practice. */
const COMPLAINT_POINTS = 8;
const COMPLAINT_SD = 5;
/** A share of the specification is worth this many points of comfort when the next pair is chosen. Common practice. */
const POINTS_OF_SCORE = 60;
/** A direction is named once it is likelier than not by this many standard deviations. */
const NAMED_FROM_SD = 0.5;

/** Differences that are named of a pair. */
const MOST_NAMED = 2;

const MIDDLE = FEEL_AXIS_IDS.length;

/** A shoe's place relative to another, unknown axes as no difference. */
const placeOf = (shoe: ShoeModel, origin: ShoeModel): number[] =>
  FEEL_AXIS_IDS.map((axis) => {
    const here = feelOf(shoe.features, axis);
    const there = feelOf(origin.features, axis);
    return here === null || there === null ? 0 : here - there;
  });

/** One noisy reading of a linear form of the tastes: row · taste = value ± sd. */
interface Observation {
  row: number[];
  value: number;
  sd: number;
}

/**
 * Posterior of a Gaussian vector after linear observations, one at a time (Kalman's update without a state that moves):
 * exact, and no matrix to invert.
 */
function posterior(
  prior: number[],
  observations: readonly Observation[],
): { mean: number[]; covariance: number[][] } {
  const mean = prior.map(() => 0);
  const covariance = prior.map((sd, i) => prior.map((_, j) => (i === j ? sd ** 2 : 0)));
  for (const { row, value, sd } of observations) {
    const spread = covariance.map((line) => line.reduce((sum, entry, j) => sum + entry * row[j]!, 0));
    const total = row.reduce((sum, entry, i) => sum + entry * spread[i]!, 0) + sd ** 2;
    const surprise = value - row.reduce((sum, entry, i) => sum + entry * mean[i]!, 0);
    for (let i = 0; i < mean.length; i += 1) mean[i]! += (spread[i]! / total) * surprise;
    for (let i = 0; i < mean.length; i += 1)
      for (let j = 0; j < mean.length; j += 1) covariance[i]![j]! -= (spread[i]! * spread[j]!) / total;
  }
  return { mean, covariance };
}

const LEVEL = { usual: 70, sd: 20 };
const axisRow = (axis: FeelAxis, way: number) => [...FEEL_AXIS_IDS.map((id) => (id === axis ? way : 0)), 0];

/** What was rated and said of one pair, as readings of the wearer’s tastes and usual level; `sd` widens both. */
function observationsOf(
  { felt, model }: { felt: FeltBefore; model: ShoeModel },
  origin: ShoeModel,
  sd: number,
): Observation[] {
  const comfort = comfortOf(felt);
  const rating = felt.comfortAgain === undefined ? RATING_SD : RATING_SD / Math.SQRT2;
  return [
    ...(comfort === null
      ? []
      : [{ row: [...placeOf(model, origin), 1], value: comfort - LEVEL.usual, sd: Math.hypot(rating, sd) }]),
    ...(felt.feels ?? []).map((feel) => ({
      row: axisRow(FEELS[feel].axis, FEELS[feel].way),
      value: COMPLAINT_POINTS,
      sd: Math.hypot(COMPLAINT_SD, sd),
    })),
  ];
}

const known = (felt: readonly FeltBefore[], models: ReadonlyMap<string, ShoeModel>) =>
  felt.flatMap((entry) => {
    const model = models.get(entry.model);
    return model ? [{ felt: entry, model }] : [];
  });

/** Tastes on each axis and the usual level of one wearer, from this fitting and, less surely, from those before it. */
function tastesOf(
  now: readonly FeltBefore[],
  before: readonly FeltBefore[],
  models: ReadonlyMap<string, ShoeModel>,
) {
  const felt = known(now, models);
  const earlier = known(before, models);
  const origin = felt[0]?.model ?? earlier[0]?.model;
  if (!origin) return null;
  const observations = [
    ...felt.flatMap((entry) => observationsOf(entry, origin, 0)),
    ...earlier.flatMap((entry) => observationsOf(entry, origin, BETWEEN_VISITS_SD)),
  ];
  return { origin, ...posterior([...FEEL_AXIS_IDS.map(() => PRIOR_SD), LEVEL.sd], observations) };
}

/** Comfort that a pair is expected to have; beyond two steps from what was felt nothing was learned, and the guess does not go on rising. */
function pointsOf(
  model: ShoeModel,
  { origin, mean }: { origin: ShoeModel; mean: readonly number[] },
): number {
  const points = placeOf(model, origin).reduce(
    (sum, steps, at) => sum + Math.max(-2, Math.min(2, steps)) * mean[at]!,
    mean[MIDDLE]! + LEVEL.usual,
  );
  return Math.max(0, Math.min(100, points));
}

/**
 * Comfort, 0–100, that a pair is expected to have before it is rated, from the pairs felt before it: at this fitting, and at earlier
 * visits. The usual level where nothing was felt.
 */
export function comfortGuess(
  model: ShoeModel,
  now: readonly FeltBefore[],
  before: readonly FeltBefore[],
  models: ReadonlyMap<string, ShoeModel>,
): number {
  const tastes = tastesOf(now, before, models);
  return tastes ? pointsOf(model, tastes) : LEVEL.usual;
}

/**
 * Which way to go from what was felt: a linear model of this wearer's comfort over the feel of the shoes, with a prior that
 * a step is worth nothing, fed with the ratings and with what was said (“too firm”), and with those of earlier visits, less surely.
 * Two or three ratings decide little: the standard deviations say so, and the specification keeps its weight in the ranking.
 *
 * @param before what was felt at earlier visits
 * @returns null until a pair was rated or something was said
 */
export function nextGuess(
  tryOns: readonly TryOn[],
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  { count = 3, before = [] }: { count?: number; before?: readonly FeltBefore[] } = {},
): NextGuess | null {
  const felt = tryOns.flatMap((tryOn) => {
    const model = models.get(tryOn.model);
    return model ? [{ tryOn, model }] : [];
  });
  const tastes = tastesOf(tryOns, before, models);
  if (!tastes) return null;
  const { mean, covariance } = tastes;
  const earlier = known(before, models).length;
  const isComplaint = felt.some(({ tryOn }) => (tryOn.feels ?? []).length > 0);
  const rated = felt.filter(({ tryOn }) => comfortOf(tryOn) !== null).length;
  if (!isComplaint && rated < 2 && earlier === 0) return null;
  const taste = Object.fromEntries(
    FEEL_AXIS_IDS.map((axis, at) => [axis, { points: mean[at]!, sd: Math.sqrt(covariance[at]![at]!) }]),
  ) as NextGuess['taste'];
  // Another version of a tried model is hardly another pair.
  const familyOf = ({ maker, name }: ShoeModel) => `${maker} ${name}`;
  const tried = new Set(felt.map(({ model }) => familyOf(model)));
  const best = felt.toSorted((a, b) => (comfortOf(b.tryOn) ?? 0) - (comfortOf(a.tryOn) ?? 0))[0]?.model;
  const candidates = ranked
    .filter((entry) => !tried.has(familyOf(models.get(entry.id)!)))
    .map((entry) => {
      const model = models.get(entry.id)!;
      const points = pointsOf(model, tastes);
      return {
        id: entry.id,
        points,
        differs: best ? differsInWords(feelDifference(best.features, model.features), taste) : '',
        worth: points + POINTS_OF_SCORE * entry.score,
      };
    })
    .toSorted((a, b) => b.worth - a.worth || (a.id < b.id ? -1 : 1))
    .slice(0, count)
    .map(({ id, points, differs }) => ({ id, points, differs }));
  return { taste, direction: directionInWords(taste), candidates, earlier };
}

/** The ways worth going, the one that is worth most first. */
const waysOf = (taste: NextGuess['taste']): FeelAxis[] =>
  FEEL_AXIS_IDS.filter((axis) => Math.abs(taste[axis].points) >= NAMED_FROM_SD * taste[axis].sd)
    .toSorted((a, b) => Math.abs(taste[b].points) - Math.abs(taste[a].points))
    .slice(0, 2);

const directionInWords = (taste: NextGuess['taste']): string =>
  waysOf(taste)
    .map((axis) => FEEL_AXES[axis][taste[axis].points > 0 ? 'more' : 'less'])
    .join(', ');

/** How a pair differs from the best of those that were felt: what goes the way that was felt, what goes against it, then the rest. */
function differsInWords(difference: FeelDifference, taste: NextGuess['taste']): string {
  const ways = waysOf(taste);
  const isAlong = (axis: FeelAxis) => (difference[axis] ?? 0) * taste[axis].points > 0;
  const only = (axes: readonly FeelAxis[]): FeelDifference =>
    Object.fromEntries(axes.map((axis) => [axis, difference[axis] ?? 0]));
  const along = differenceInWords(only(ways.filter(isAlong)), MOST_NAMED);
  const against = differenceInWords(only(ways.filter((axis) => !isAlong(axis))), MOST_NAMED);
  const said = ways.filter((axis) => Math.abs(difference[axis] ?? 0) >= FELT).length;
  const rest = differenceInWords(
    only(FEEL_AXIS_IDS.filter((axis) => !ways.includes(axis))),
    MOST_NAMED - said,
  );
  return [along, against && `but ${against}`, rest].filter(Boolean).join(', ');
}
