import { Matrix, solve } from 'ml-matrix';
import { daysBetween } from '../calendar/days';
import type { Side } from '../findings/finding-kinds';
import { groupBy } from '../tables/group-by';
import { awakeAt, WAKING_HOURS } from './awake';
import { type GirthMeasure, inOrder, REAL_GIRTH_MM, type SwellingReading } from './course';

/** A number with half the width of its 95 % interval. */
export interface Sure {
  mm: number;
  within: number;
}

/** What takes swelling off at a moment. */
export interface Relief {
  compressed?: boolean;
  treated?: boolean;
}

/** What readings of one place teach: how it changes through a day and over weeks. */
export interface DayCourse {
  readings: number;
  /** What a waking day adds, from rising to the evening. */
  swing: Sure;
  /** What a week adds. */
  perWeek: Sure;
  /** What compression takes off while it is worn; null where it was never, or always, worn. */
  compression: Sure | null;
  /** What a treatment takes off on its day; null where there was never, or always, one. */
  treatment: Sure | null;
  /** Expected after so many hours awake, of a day: without compression or treatment unless it says so. */
  expected: (day: string, awakeHours: number, under?: Relief) => Sure;
  /** The worst state of a usual day: without what takes swelling off, or with it where it is always there. */
  evening: (day: string) => Sure;
}

/** Two measures differ for real from {@link REAL_GIRTH_MM} on: a single one is off by so much, one standard deviation. */
const TAPE_MM = REAL_GIRTH_MM / (1.96 * Math.SQRT2);
/** Days differ by so much more than the tape does. Ours. */
const DAYS_MM = 3;
/** What is believed before anything is measured, one standard deviation: swing of a day, a week, compression, treatment. Ours. */
const BELIEVED = { level: 1000, swing: 15, week: 4, compression: 10, treatment: 10 } as const;
const SPREADS = Object.values(BELIEVED);
const Z_95 = 1.96;

const isCompressed = ({ compression }: SwellingReading): boolean =>
  compression !== undefined && compression !== 'none';
/** Before dialysis is the untreated state: the worst one. */
const isTreated = ({ treatment }: SwellingReading): boolean =>
  treatment !== undefined && treatment !== 'none' && treatment !== 'before-dialysis';

/**
 * Swing of a day and trend over weeks of one girth, by least squares with weak beliefs, so that two readings of one day teach the day
 * and no trend (Bayesian linear regression; Gelman 2013, chapter 14, from memory). Readings of one day share what that day has of its own.
 *
 * @returns null with fewer than two readings
 */
export function dayCourse(
  readings: readonly SwellingReading[],
  side: Side,
  measure: GirthMeasure,
): DayCourse | null {
  const taken = inOrder(readings).flatMap((reading) => {
    const mm = reading[side]?.[measure];
    return mm === undefined ? [] : [{ reading, mm }];
  });
  const last = taken.at(-1)?.reading.at.slice(0, 10);
  if (last === undefined || taken.length < 2) return null;
  const row = (day: string, awake: number, { compressed = false, treated = false }: Relief) => [
    1,
    awake / WAKING_HOURS,
    daysBetween(last, day) / 7,
    compressed ? 1 : 0,
    treated ? 1 : 0,
  ];
  const rows = taken.map(({ reading }) =>
    row(reading.at.slice(0, 10), awakeAt(reading), {
      compressed: isCompressed(reading),
      treated: isTreated(reading),
    }),
  );
  const { mean, covariance } = learned(
    rows,
    taken.map(({ mm }) => mm),
    taken.map(({ reading }) => reading.at.slice(0, 10)),
  );
  const sure = (at: number): Sure => ({
    mm: mean.get(at, 0),
    within: Z_95 * Math.sqrt(covariance.get(at, at)),
  });
  /** In how many readings something was there: never and always teach nothing of it. */
  const share = (is: (reading: SwellingReading) => boolean) => {
    const count = taken.filter(({ reading }) => is(reading)).length;
    return { varies: count > 0 && count < taken.length, always: count === taken.length };
  };
  const [worn, treated] = [share(isCompressed), share(isTreated)];
  const expected = (day: string, awake: number, under: Relief = {}): Sure => {
    const x = Matrix.columnVector(row(day, awake, under));
    const variance = x.transpose().mmul(covariance).mmul(x).get(0, 0) + DAYS_MM ** 2;
    return { mm: x.transpose().mmul(mean).get(0, 0), within: Z_95 * Math.sqrt(variance) };
  };
  return {
    readings: taken.length,
    swing: sure(1),
    perWeek: sure(2),
    compression: worn.varies ? sure(3) : null,
    treatment: treated.varies ? sure(4) : null,
    expected,
    evening: (day) => expected(day, WAKING_HOURS, { compressed: worn.always, treated: treated.always }),
  };
}

/**
 * Weights of the course and their covariance. What the readings of one day share is eliminated day by day (matrix inversion lemma), so that
 * months of readings cost no more than their number.
 */
function learned(rows: readonly number[][], values: readonly number[], days: readonly string[]) {
  const middle = values.reduce((sum, value) => sum + value, 0) / values.length;
  const precision = Matrix.diag(SPREADS.map((spread) => spread ** -2));
  const weighted = Matrix.zeros(SPREADS.length, 1);
  const taken = rows.map((row, at) => ({ row, value: values[at]! - middle, day: days[at]! }));
  for (const [, ofDay] of groupBy(taken, ({ day }) => day)) {
    const x = new Matrix(ofDay.map(({ row }) => [...row]));
    const y = Matrix.columnVector(ofDay.map(({ value }) => value));
    const shared = DAYS_MM ** 2 / (TAPE_MM ** 2 + ofDay.length * DAYS_MM ** 2);
    const sums = new Matrix([x.sum('column')]);
    precision.add(
      Matrix.sub(x.transpose().mmul(x), sums.transpose().mmul(sums).mul(shared)).div(TAPE_MM ** 2),
    );
    weighted.add(Matrix.sub(x.transpose().mmul(y), sums.transpose().mul(shared * y.sum())).div(TAPE_MM ** 2));
  }
  const covariance = solve(precision, Matrix.eye(SPREADS.length));
  const mean = covariance.mmul(weighted);
  mean.set(0, 0, mean.get(0, 0) + middle);
  return { mean, covariance };
}

/** What a foot gains from one moment of a day to its evening, mm of girth. */
export function gainUntilEvening(course: DayCourse, day: string, awakeHours: number): Sure {
  const share = Math.max(0, 1 - awakeHours / WAKING_HOURS);
  const now = course.expected(day, awakeHours);
  const evening = course.evening(day);
  return { mm: Math.max(0, evening.mm - now.mm), within: share * course.swing.within };
}
