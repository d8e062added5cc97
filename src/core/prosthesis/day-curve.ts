import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { daysBetween, type IsoDay } from '../calendar/days';
import { dayOfEntry, hourOfEntry, needSaidBy, type SockEntry, type SockTag } from './sock-log';

/** Ply that a limb is expected to need at an hour, and between which eight times of ten it will lie. */
export interface PlyAt {
  hour: number;
  mean: number;
  low: number;
  high: number;
}

/** What a wearer’s log teaches of a day. */
export interface DayCurve {
  /** Looks that it rests on, and days they were taken on. */
  looks: number;
  days: number;
  /** For hours of one day; what has been said of that day before is part of it. */
  at: (day: IsoDay, hours: readonly number[], tags?: readonly SockTag[]) => PlyAt[];
}

/** Eight of ten lie so many standard deviations around the mean. */
const Z_80 = 1.2816;
/** A limb changes over weeks: what is older teaches nothing of today. Ours. */
const LEARNS_FROM_DAYS = 28;
const MOST_LOOKS = 72;
/** Fewer teach no curve. Ours. */
export const LEAST_LOOKS = 4;

/**
 * What is unknown of a wearer, as spreads in ply: from day to day, through each day alike, within one day. Each combination is weighed by
 * how well it explains the log. The rest is taken as given: a limb drifts over weeks, hours close to each other are alike, a tag moves
 * the hours after it. All ours; checked by how often the interval holds on simulated limbs.
 */
const BETWEEN_DAYS = [0.3, 0.7, 1.2] as const;
const THROUGH_DAY = [0.3, 1, 2.6] as const;
const WITHIN_DAY = [0.3, 0.7] as const;
const LEVEL_SPREAD = 4;
const DRIFT_SPREAD = 0.6;
const DRIFT_DAYS = 14;
const DAY_KEPT_DAYS = 1.2;
const ALIKE_HOURS = 4.5;
const WANDER_HOURS = 3;
const TAG_SPREAD = 1.1;

interface Look {
  day: number;
  hour: number;
  tags: readonly SockTag[];
}
interface Spreads {
  betweenDays: number;
  throughDay: number;
  withinDay: number;
}

const bell = (difference: number, width: number): number => Math.exp(-(difference ** 2) / (2 * width ** 2));

/** How alike the needs of two moments are, ply². */
function alike(a: Look, b: Look, { betweenDays, throughDay, withinDay }: Spreads): number {
  const days = Math.abs(a.day - b.day);
  const hours = a.hour - b.hour;
  let sum =
    LEVEL_SPREAD ** 2 +
    DRIFT_SPREAD ** 2 * Math.exp(-days / DRIFT_DAYS) +
    betweenDays ** 2 * Math.exp(-days / DAY_KEPT_DAYS) +
    throughDay ** 2 * bell(hours, ALIKE_HOURS);
  if (days === 0) sum += withinDay ** 2 * bell(hours, WANDER_HOURS);
  for (const tag of a.tags) if (b.tags.includes(tag)) sum += TAG_SPREAD ** 2;
  return sum;
}

/** One combination of spreads fitted to the log. */
interface Fitted {
  spreads: Spreads;
  weight: number;
  solve: CholeskyDecomposition;
  /** Inverse covariance times what was said. */
  pull: Matrix;
}

function fittedWith(
  looks: readonly Look[],
  said: Matrix,
  variances: readonly number[],
  spreads: Spreads,
): { fitted: Omit<Fitted, 'weight'>; logLikelihood: number } {
  const covariance = Matrix.zeros(looks.length, looks.length);
  for (let row = 0; row < looks.length; row += 1)
    for (let column = 0; column <= row; column += 1) {
      const value = alike(looks[row]!, looks[column]!, spreads) + (row === column ? variances[row]! : 0);
      covariance.set(row, column, value);
      covariance.set(column, row, value);
    }
  const solve = new CholeskyDecomposition(covariance);
  const pull = solve.solve(said);
  const lower = solve.lowerTriangularMatrix;
  let logDeterminant = 0;
  for (let at = 0; at < looks.length; at += 1) logDeterminant += 2 * Math.log(lower.get(at, at));
  const misfit = said.transpose().mmul(pull).get(0, 0);
  return { fitted: { spreads, solve, pull }, logLikelihood: -0.5 * (misfit + logDeterminant) };
}

/**
 * Learns the curve of a wearer’s day from the log of the last weeks: what was said of loose and tight counts as more and less than what
 * was on. A Gaussian process (Rasmussen & Williams 2006, equations 2.23–2.24 and 2.30, from memory), averaged over what its
 * spreads may be.
 *
 * @param entries in order, of one socket; those after the last one’s day are not known yet
 * @returns null with fewer than {@link LEAST_LOOKS} looks that say something of volume
 */
export function learnDayCurve(entries: readonly SockEntry[]): DayCurve | null {
  const last = entries.at(-1);
  if (!last) return null;
  const origin = dayOfEntry(last);
  const dayOf = (day: IsoDay) => daysBetween(origin, day);
  const known = entries
    .flatMap((entry) => {
      const need = needSaidBy(entry);
      return need ? [{ look: lookOf(entry, dayOf), need }] : [];
    })
    .filter(({ look }) => look.day > -LEARNS_FROM_DAYS)
    .slice(-MOST_LOOKS);
  if (known.length < LEAST_LOOKS) return null;
  const looks = known.map(({ look }) => look);
  const middle = known.reduce((sum, { need }) => sum + need.ply, 0) / known.length;
  const said = Matrix.columnVector(known.map(({ need }) => need.ply - middle));
  const variances = known.map(({ need }) => need.variance);
  const fits = BETWEEN_DAYS.flatMap((betweenDays) =>
    THROUGH_DAY.flatMap((throughDay) =>
      WITHIN_DAY.map((withinDay) =>
        fittedWith(looks, said, variances, { betweenDays, throughDay, withinDay }),
      ),
    ),
  );
  const best = Math.max(...fits.map(({ logLikelihood }) => logLikelihood));
  const weights = fits.map(({ logLikelihood }) => Math.exp(logLikelihood - best));
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const fitted = fits
    .map(({ fitted: one }, at): Fitted => ({ ...one, weight: weights[at]! / total }))
    // What explains the log a thousand times worse moves nothing.
    .filter(({ weight }) => weight > 0.001);
  return {
    looks: known.length,
    days: new Set(looks.map(({ day }) => day)).size,
    at: (day, hours, tags = []) =>
      hours.map((hour) => foretold(fitted, looks, { day: dayOf(day), hour, tags }, middle)),
  };
}

const lookOf = (entry: SockEntry, dayOf: (day: IsoDay) => number): Look => ({
  day: dayOf(dayOfEntry(entry)),
  hour: hourOfEntry(entry),
  tags: entry.tags ?? [],
});

/** Mean and interval over all combinations: the spread between them counts too. */
function foretold(fitted: readonly Fitted[], looks: readonly Look[], at: Look, middle: number): PlyAt {
  let mean = 0;
  let square = 0;
  let weights = 0;
  for (const { spreads, weight, solve, pull } of fitted) {
    const towards = Matrix.columnVector(looks.map((look) => alike(look, at, spreads)));
    const expected = towards.transpose().mmul(pull).get(0, 0);
    const variance = Math.max(
      0,
      alike(at, at, spreads) - towards.transpose().mmul(solve.solve(towards)).get(0, 0),
    );
    mean += weight * expected;
    square += weight * (variance + expected ** 2);
    weights += weight;
  }
  mean /= weights;
  const spread = Math.sqrt(Math.max(0, square / weights - mean ** 2));
  const ply = (value: number) => Math.max(0, middle + value);
  return {
    hour: at.hour,
    mean: ply(mean),
    low: ply(mean - Z_80 * spread),
    high: ply(mean + Z_80 * spread),
  };
}
