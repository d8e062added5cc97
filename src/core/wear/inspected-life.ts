import {
  chanceOf,
  FITS_WEARER,
  type FitsWearer,
  type Hypothesis,
  SIGNS,
  type SignAnswers,
  type SignId,
  type SignStrengths,
} from '../signs/signs';
import { keysOf } from '../tables/keys-of';
import type { LifeDistribution } from './life-schools';
import { PRIOR_FIT } from './verdict';

/** What was seen of a pair once it had gone so far. */
export interface SeenAt {
  /** In the unit of the pair's clock. */
  used: number;
  signs: SignAnswers;
}

/** A life once a pair was looked at: chances on a grid of lives. */
export interface InspectedLife {
  /** Logarithms of lives, evenly spaced. */
  logLives: Float64Array;
  chances: Float64Array;
  /** How it suits its wearer; together 1. */
  fits: Readonly<Record<FitsWearer, number>>;
}

/** The grid: lives from five standard deviations below the middle one to five above. */
const POINTS = 601;
const REACH = 5;

/** Share of the lives around a point of the grid that are over once the pair has gone `used`. */
const spentAt = (logLife: number, step: number, used: number): number =>
  used <= 0 ? 0 : Math.min(1, Math.max(0, (Math.log(used) - logLife) / step + 0.5));

const stepOf = (logLives: Float64Array): number => logLives[1]! - logLives[0]!;

/** Each sign once, as it was last looked at: a crease that stays is not seen anew. */
function latest(inspections: readonly SeenAt[]): SeenAt[] {
  const counted = new Set<SignId>();
  return inspections.toReversed().map(({ used, signs }) => {
    const fresh = keysOf(SIGNS).filter((sign) => signs[sign] !== undefined && !counted.has(sign));
    for (const sign of fresh) counted.add(sign);
    return { used, signs: Object.fromEntries(fresh.map((sign) => [sign, signs[sign]])) };
  });
}

function likelihood(signs: SignAnswers, hypothesis: Hypothesis, strengths: SignStrengths): number {
  let product = 1;
  for (const sign of keysOf(SIGNS)) {
    const value = signs[sign];
    if (value !== undefined) product *= chanceOf(sign, value, hypothesis, strengths);
  }
  return product;
}

/**
 * What inspections make of a pair's life: the life that was expected, weighed by how likely what was seen is at each life. Looked
 * at once, it says the same of spent and suits as `verdictOf` does.
 *
 * @param inspections oldest first
 * @param strengths how strongly the clinic takes each sign
 */
export function inspectedLife(
  { median, sigma }: LifeDistribution,
  inspections: readonly SeenAt[],
  strengths: SignStrengths = {},
): InspectedLife {
  const logLives = Float64Array.from(
    { length: POINTS },
    (_, at) => Math.log(median) + sigma * REACH * ((2 * at) / (POINTS - 1) - 1),
  );
  const step = stepOf(logLives);
  const seen = latest(inspections).map(({ used, signs }) => ({
    used,
    of: keysOf(FITS_WEARER).map((fits) => ({
      spent: likelihood(signs, { isSpent: true, fits }, strengths),
      sound: likelihood(signs, { isSpent: false, fits }, strengths),
    })),
  }));
  const chances = new Float64Array(POINTS);
  const perFit = keysOf(FITS_WEARER).map(() => 0);
  let total = 0;
  logLives.forEach((logLife, at) => {
    const z = (logLife - Math.log(median)) / sigma;
    const prior = Math.exp(-0.5 * z * z);
    keysOf(FITS_WEARER).forEach((fits, index) => {
      let weight = prior * PRIOR_FIT[fits];
      for (const { used, of } of seen) {
        const share = spentAt(logLife, step, used);
        weight *= share * of[index]!.spent + (1 - share) * of[index]!.sound;
      }
      chances[at]! += weight;
      perFit[index]! += weight;
      total += weight;
    });
  });
  const share = (fits: FitsWearer) => perFit[keysOf(FITS_WEARER).indexOf(fits)]! / total;
  return {
    logLives,
    chances: chances.map((weight) => weight / total),
    fits: { suits: share('suits'), soft: share('soft'), loose: share('loose') },
  };
}

/** Life below which a share of such pairs is used up. */
export function inspectedQuantile({ logLives, chances }: InspectedLife, quantile: number): number {
  let below = 0;
  const step = stepOf(logLives);
  for (let at = 0; at < logLives.length; at += 1) {
    const chance = chances[at]!;
    if (below + chance >= quantile)
      // Each point stands for the step around it.
      return Math.exp(logLives[at]! + step * ((quantile - below) / chance - 0.5));
    below += chance;
  }
  return Math.exp(logLives.at(-1)!);
}

/** Chance that the pair is spent once it has gone `used`. */
export const spentOnce = ({ logLives, chances }: InspectedLife, used: number): number =>
  logLives.reduce((sum, logLife, at) => sum + chances[at]! * spentAt(logLife, stepOf(logLives), used), 0);
