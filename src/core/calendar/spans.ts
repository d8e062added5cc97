/** A day of the calendar as `2031-06-15`. Days have no time zone: they are compared as they are written. */
export type IsoDay = string;

/** Lengths of a mean month and year, days. */
export const DAYS_PER_MONTH = 30.44;
export const DAYS_PER_YEAR = 365.25;

const DAY_MS = 86_400_000;

/** Days are read as midnights at Greenwich, where each lasts 24 hours. @example daysBetween('2031-02-27', '2031-03-02') // 3 */
export const daysBetween = (from: IsoDay, to: IsoDay): number =>
  Math.round((Date.parse(to.slice(0, 10)) - Date.parse(from.slice(0, 10))) / DAY_MS);
