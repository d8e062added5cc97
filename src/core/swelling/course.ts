import { SIDES, type Side } from '../findings/finding-kinds';

/** Girths of one side at one moment, mm. */
export interface SideGirths {
  figureOfEight?: number | undefined;
  ankleGirth?: number | undefined;
  calfGirth?: number | undefined;
}

/** What is worn against swelling. */
export const COMPRESSION = { none: 'none', stocking: 'stocking', bandage: 'bandage or wrap' } as const;
export type Compression = keyof typeof COMPRESSION;

/** What was done against swelling on the day of a reading, and on which side of it the tape came. */
export const TREATMENTS = {
  none: 'none',
  drainage: 'after lymph drainage',
  'before-dialysis': 'before dialysis',
  'after-dialysis': 'after dialysis',
  diuretic: 'diuretic changed',
} as const;
export type Treatment = keyof typeof TREATMENTS;

/** One round of the tape. */
export interface SwellingReading {
  /** Local moment, `2030-06-15T17:30`. */
  at: string;
  /** Hours since rising; absent where nobody asked. */
  awakeHours?: number | undefined;
  /** What was worn against the swelling until then. */
  compression?: Compression | undefined;
  /** What was done against it that day. */
  treatment?: Treatment | undefined;
  left?: SideGirths | undefined;
  right?: SideGirths | undefined;
}

/** A figure-of-eight difference from here on is real, mm. Rohner-Spengler 2007 and others, from memory, check. */
export const REAL_GIRTH_MM = 10;

/** Morning ends here for the comparison of a day, hours. Common practice. */
const MORNING_ENDS = 12;

const MEASURES = ['figureOfEight', 'ankleGirth', 'calfGirth'] as const;
export type GirthMeasure = (typeof MEASURES)[number];
export const GIRTH_MEASURES = MEASURES;

export const inOrder = (readings: readonly SwellingReading[]): SwellingReading[] =>
  readings.toSorted((a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0));

const dayOf = (reading: SwellingReading) => reading.at.slice(0, 10);
const hourOf = (reading: SwellingReading) => Number(reading.at.slice(11, 13));

/** Largest evening-less-morning difference of one day, mm; null when no day has both. */
export function dailyRise(
  readings: readonly SwellingReading[],
  side: Side,
  measure: GirthMeasure,
): number | null {
  let rise: number | null = null;
  for (const day of new Set(readings.map(dayOf))) {
    const taken = inOrder(readings.filter((reading) => dayOf(reading) === day)).filter(
      (reading) => reading[side]?.[measure] !== undefined,
    );
    const morning = taken.find((reading) => hourOf(reading) < MORNING_ENDS);
    const evening = taken.findLast((reading) => hourOf(reading) >= MORNING_ENDS);
    if (!morning || !evening) continue;
    const difference = evening[side]![measure]! - morning[side]![measure]!;
    if (rise === null || difference > rise) rise = difference;
  }
  return rise;
}

/** Greatest value of each measure: shoes are sized at the worst expected state. */
export function worstGirths(readings: readonly SwellingReading[], side: Side): SideGirths {
  const worst: SideGirths = {};
  for (const measure of MEASURES)
    for (const reading of readings) {
      const value = reading[side]?.[measure];
      if (value !== undefined && value > (worst[measure] ?? 0)) worst[measure] = value;
    }
  return worst;
}

export interface SwellingAdvice {
  code: 'changes' | 'one-sided' | 'new-one-sided' | 'steady' | 'morning-only' | 'nothing';
  side: Side | null;
  message: string;
}

/** What the course of girths means for size and closure, and where it is no matter of fit. */
export function swellingAdvice(readings: readonly SwellingReading[]): SwellingAdvice[] {
  if (readings.length === 0)
    return [{ code: 'nothing', side: null, message: 'No girths yet: swelling is unknown, not absent.' }];
  const advice: SwellingAdvice[] = [];
  for (const side of SIDES) {
    const rise = dailyRise(readings, side, 'figureOfEight');
    if (rise !== null && rise >= REAL_GIRTH_MM)
      advice.push({
        code: 'changes',
        side,
        message: `The ${side} foot gains ${Math.round(rise)} mm of figure-of-eight girth in a day: size at its evening state, adjustable closure, long throat, and a removable insole as a reserve.`,
      });
    else if (rise !== null)
      advice.push({
        code: 'steady',
        side,
        message: `The ${side} foot gains ${Math.round(rise)} mm in a day: within the ${REAL_GIRTH_MM} mm that a tape can tell.`,
      });
  }
  const latest = inOrder(readings).findLast(
    (reading) => reading.left?.figureOfEight !== undefined && reading.right?.figureOfEight !== undefined,
  );
  if (latest) {
    const difference = latest.left!.figureOfEight! - latest.right!.figureOfEight!;
    if (Math.abs(difference) >= REAL_GIRTH_MM) {
      const side = difference > 0 ? 'left' : 'right';
      advice.push({
        code: 'one-sided',
        side,
        message: `The ${side} ankle is ${Math.round(Math.abs(difference))} mm larger than the other. If that is new, hot or painful it is a warning sign, not a matter of fit.`,
      });
    }
  }
  if (readings.every((reading) => hourOf(reading) < MORNING_ENDS))
    advice.push({
      code: 'morning-only',
      side: null,
      message: 'All girths are from the morning: measure late in the day before sizing.',
    });
  return advice;
}
