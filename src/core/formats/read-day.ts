import type { IsoDay } from '../calendar/days';
import { isoDay } from '../calendar/iso-day';
import { DATE_STYLES, type DateStyle, MONTHS } from './formats';

/** The number of a month by its name, whole or shortened to three letters at least; 0 where there is none. */
export const monthNamed = (word: string): number =>
  MONTHS.findIndex((name) => word.toLowerCase().startsWith(name.toLowerCase())) + 1;

/** Whether a clinic that writes days so puts the month before the day. */
const isMonthFirst = (style: DateStyle): boolean => 'isMonthFirst' in DATE_STYLES[style];

/** How far ahead two figures of a year may lie: a clinic writes of births and last years, and of what is soon. Ours. */
const YEARS_AHEAD = 2;

/** A year of two figures is the nearest that lies no further ahead. @example fullYear('45', '2031-01-01') // 1945 */
function fullYear(year: string, today: IsoDay): number {
  if (year.length === 4) return Number(year);
  const now = Number(today.slice(0, 4));
  const sameCentury = Math.floor(now / 100) * 100 + Number(year);
  return sameCentury > now + YEARS_AHEAD ? sameCentury - 100 : sameCentury;
}

/** Year, month and day as they were typed; null where they are no day. The year may be left out. */
function partsOf(typed: string, style: DateStyle): { year: string; month: number; day: number } | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed);
  if (iso) return { year: iso[1]!, month: Number(iso[2]), day: Number(iso[3]) };
  const figures = /^(\d{2})(\d{2})(\d{2}|\d{4})$/.exec(typed);
  if (figures && style === 'iso') return partsOf(typed.replace(/(\d{2})(\d{2})$/, '-$1-$2'), style);
  if (figures) return partsOf(figures.slice(1).join('/'), style);
  const [first = '', second = '', year = '', ...more] = typed.split(/[\s.,/-]+/).filter(Boolean);
  if (more.length > 0 || !/^(\d{2}|\d{4})?$/.test(year)) return null;
  if (/^\d{1,2}$/.test(first) && /^\d{1,2}$/.test(second)) {
    // A dot is written between day and month alone, in that order.
    const [day, month] = isMonthFirst(style) && !typed.includes('.') ? [second, first] : [first, second];
    return { year, month: Number(month), day: Number(day) };
  }
  if (/^\d{1,2}$/.test(first)) return { year, month: monthNamed(second), day: Number(first) };
  if (/^\d{1,2}$/.test(second)) return { year, month: monthNamed(first), day: Number(second) };
  return null;
}

/** What was typed as a day; `isWhole` where nothing is left to type. */
export interface ReadDay {
  day: IsoDay;
  isWhole: boolean;
}

/**
 * Reads a day as a clinic writes it, or in any other usual way: `8 Jun 2031`, `Jun 8, 2031`, `8.6.31`, `08/06/2031`, `08062031`,
 * `2031-06-08`, `8.6.`
 *
 * @param style which of day and month stands first between strokes
 * @param today for a year that was left out or shortened
 * @returns null where it is no day of the calendar
 * @example readDay('8/6/2031', 'day-slash', '2031-01-01') // { day: '2031-06-08', isWhole: true }
 */
export function readDay(typed: string, style: DateStyle, today: IsoDay): ReadDay | null {
  const parts = partsOf(typed.trim(), style);
  if (!parts) return null;
  const year = parts.year === '' ? Number(today.slice(0, 4)) : fullYear(parts.year, today);
  const day = `${year}-${String(parts.month).padStart(2, '0')}-${String(parts.day).padStart(2, '0')}`;
  return isoDay.safeParse(day).success ? { day, isWhole: parts.year.length === 4 } : null;
}
