import type { ShoeModel } from '../catalogue/model';
import {
  differenceInWords,
  FEEL_AXES,
  FEEL_AXIS_IDS,
  type FeelAxis,
  feelDifference,
  feelOf,
} from '../match/feel';
import type { Ranked } from '../match/rank';
import { comfortOf, FEELS, type TryOn } from './try-on';

/** What the ratings of a fitting say about which way to go, and the pair to try next. */
export interface NextGuess {
  /** Points of comfort that a felt step on an axis is worth to this wearer, with its standard deviation. */
  taste: Record<FeelAxis, { points: number; sd: number }>;
  /** The ways worth going, in words; empty when nothing is known. */
  direction: string;
  candidates: { id: string; points: number; differs: string }[];
}

/** Before anything is felt a step is worth nothing, give or take this many points. Common practice. */
const PRIOR_SD = 6;
/** Ratings of the same pair scatter by about this. Source: Mills 2010, a real difference is about 10 of 100, from memory. */
const RATING_SD = 7;
/** “Too firm” says that a step softer would be worth about this. Common practice. */
const COMPLAINT_POINTS = 8;
const COMPLAINT_SD = 5;
/** A share of the specification is worth this many points of comfort when the next pair is chosen. Common practice. */
const POINTS_OF_SCORE = 60;
/** A direction is named once it is likelier than not by this many standard deviations. */
const NAMED_FROM_SD = 0.5;

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

/**
 * Which way to go from what was felt: a linear model of this wearer's comfort over the feel of the shoes, with a prior that
 * a step is worth nothing, fed with the ratings and with what was said (“too firm”). Two or three ratings decide little:
 * the standard deviations say so, and the specification keeps its weight in the ranking.
 *
 * @returns null until a pair was rated or something was said
 */
export function nextGuess(
  tryOns: readonly TryOn[],
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  count = 3,
): NextGuess | null {
  const felt = tryOns.flatMap((tryOn) => {
    const model = models.get(tryOn.model);
    return model ? [{ tryOn, model }] : [];
  });
  const origin = felt[0]?.model;
  if (!origin) return null;
  const observations: Observation[] = [];
  const axisRow = (axis: FeelAxis, way: number) => [...FEEL_AXIS_IDS.map((id) => (id === axis ? way : 0)), 0];
  for (const { tryOn, model } of felt) {
    const comfort = comfortOf(tryOn);
    if (comfort !== null)
      observations.push({
        row: [...placeOf(model, origin), 1],
        value: comfort - 70,
        sd: tryOn.comfortAgain === undefined ? RATING_SD : RATING_SD / Math.SQRT2,
      });
    for (const feel of tryOn.feels ?? [])
      observations.push({
        row: axisRow(FEELS[feel].axis, FEELS[feel].way),
        value: COMPLAINT_POINTS,
        sd: COMPLAINT_SD,
      });
  }
  const isComplaint = felt.some(({ tryOn }) => (tryOn.feels ?? []).length > 0);
  const rated = felt.filter(({ tryOn }) => comfortOf(tryOn) !== null).length;
  if (!isComplaint && rated < 2) return null;
  // The last entry is this wearer's usual level, about 70 of 100, and quite unknown.
  const { mean, covariance } = posterior([...FEEL_AXIS_IDS.map(() => PRIOR_SD), 20], observations);
  const taste = Object.fromEntries(
    FEEL_AXIS_IDS.map((axis, at) => [axis, { points: mean[at]!, sd: Math.sqrt(covariance[at]![at]!) }]),
  ) as NextGuess['taste'];
  // Another version of a tried model is hardly another pair.
  const familyOf = ({ maker, name }: ShoeModel) => `${maker} ${name}`;
  const tried = new Set(felt.map(({ model }) => familyOf(model)));
  const best = felt.toSorted((a, b) => (comfortOf(b.tryOn) ?? 0) - (comfortOf(a.tryOn) ?? 0))[0]!.model;
  const candidates = ranked
    .filter((entry) => !tried.has(familyOf(models.get(entry.id)!)))
    .map((entry) => {
      const model = models.get(entry.id)!;
      const place = placeOf(model, origin);
      // Beyond two steps from what was felt, nothing was learned: the guess does not go on rising.
      const points = place.reduce(
        (sum, steps, at) => sum + Math.max(-2, Math.min(2, steps)) * mean[at]!,
        mean[MIDDLE]! + 70,
      );
      return {
        id: entry.id,
        points: Math.max(0, Math.min(100, points)),
        differs: differenceInWords(feelDifference(best.features, model.features), 2),
        worth: points + POINTS_OF_SCORE * entry.score,
      };
    })
    .toSorted((a, b) => b.worth - a.worth || (a.id < b.id ? -1 : 1))
    .slice(0, count)
    .map(({ id, points, differs }) => ({ id, points, differs }));
  return { taste, direction: directionInWords(taste), candidates };
}

function directionInWords(taste: NextGuess['taste']): string {
  return FEEL_AXIS_IDS.filter((axis) => Math.abs(taste[axis].points) >= NAMED_FROM_SD * taste[axis].sd)
    .toSorted((a, b) => Math.abs(taste[b].points) - Math.abs(taste[a].points))
    .slice(0, 2)
    .map((axis) => FEEL_AXES[axis][taste[axis].points > 0 ? 'more' : 'less'])
    .join(', ');
}
