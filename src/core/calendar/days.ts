import {
  addDays as addDaysTo,
  addMonths as addMonthsTo,
  differenceInYears,
  formatISO,
  parseISO,
} from 'date-fns';
import type { IsoDay } from './spans';

export { DAYS_PER_MONTH, DAYS_PER_YEAR, daysBetween, type IsoDay } from './spans';

/**
 * The day of a moment, by Greenwich, so that browser and server name the same one.
 *
 * @example dayOf('2031-06-15T21:40:00.000Z') // '2031-06-15'
 */
export const dayOf = (moment: string | Date): IsoDay =>
  (typeof moment === 'string' ? moment : moment.toISOString()).slice(0, 10);

const write = (date: Date): IsoDay => formatISO(date, { representation: 'date' });

/** A day a number of days later, whole ones. @example addDays('2031-02-27', 3) // '2031-03-02' */
export const addDays = (day: IsoDay, days: number): IsoDay =>
  write(addDaysTo(parseISO(day), Math.round(days)));

/** The same day of a later month, or that month's last one: `addMonths('2031-01-31', 1)` is `2031-02-28`. */
export const addMonths = (day: IsoDay, months: number): IsoDay => write(addMonthsTo(parseISO(day), months));

/** Completed years of life on a day. @example ageOn('2000-03-01', '2031-02-28') // 30 */
export const ageOn = (bornOn: IsoDay, on: IsoDay): number =>
  differenceInYears(parseISO(on), parseISO(bornOn));
