import { KM_PER_MILE } from '../units/distance';

// Written out here: browsers and servers shorten months each in their own way, and a page drawn on both must agree.
export const MONTHS = [
  'Jan',
  'Feb',
  'Mar',
  'Apr',
  'May',
  'Jun',
  'Jul',
  'Aug',
  'Sep',
  'Oct',
  'Nov',
  'Dec',
] as const;

/** Year, month and day of an ISO date, as they stand there. */
type Written = (year: string, month: string, day: string) => string;
const monthName = (month: string): string => MONTHS[Number(month) - 1] ?? month;

/** How a clinic writes days, each with the eighth of June 2031, and how a day is asked for. */
export const DATE_STYLES = {
  'day-month-name': {
    label: '8 Jun 2031',
    blank: 'd Mmm yyyy',
    write: (y, m, d) => `${Number(d)} ${monthName(m)} ${y}`,
  },
  'month-name-day': {
    label: 'Jun 8, 2031',
    blank: 'Mmm d, yyyy',
    write: (y, m, d) => `${monthName(m)} ${Number(d)}, ${y}`,
    isMonthFirst: true,
  },
  'day-slash': {
    label: '08/06/2031, the day first',
    blank: 'dd/mm/yyyy',
    write: (y, m, d) => `${d}/${m}/${y}`,
  },
  'month-slash': {
    label: '06/08/2031, the month first',
    blank: 'mm/dd/yyyy',
    write: (y, m, d) => `${m}/${d}/${y}`,
    isMonthFirst: true,
  },
  'day-dot': { label: '08.06.2031', blank: 'dd.mm.yyyy', write: (y, m, d) => `${d}.${m}.${y}` },
  iso: { label: '2031-06-08', blank: 'yyyy-mm-dd', write: (y, m, d) => `${y}-${m}-${d}` },
} as const satisfies Record<string, { label: string; blank: string; write: Written; isMonthFirst?: true }>;
export type DateStyle = keyof typeof DATE_STYLES;

export const DISTANCE_UNITS = { km: 'kilometres', mi: 'miles' } as const;
export type DistanceUnit = keyof typeof DISTANCE_UNITS;

/** Currencies by ISO 4217; any other three letters are not asked for yet. */
export const CURRENCIES = {
  EUR: 'euro',
  GBP: 'pound sterling',
  USD: 'US dollar',
  CAD: 'Canadian dollar',
  AUD: 'Australian dollar',
  NZD: 'New Zealand dollar',
  CHF: 'Swiss franc',
  DKK: 'Danish krone',
  NOK: 'Norwegian krone',
  SEK: 'Swedish krona',
  PLN: 'Polish złoty',
  JPY: 'Japanese yen',
  INR: 'Indian rupee',
  ZAR: 'South African rand',
} as const;
export type Currency = keyof typeof CURRENCIES;

/** The size system that stands first. */
export const USUAL_SIZES = {
  eu: 'EU',
  uk: 'UK',
  us: 'US',
  mondopoint: 'Mondopoint',
  japan: 'JP cm',
} as const;
export type UsualSizes = keyof typeof USUAL_SIZES;

/** How a clinic writes what it reads and types. What is stored, and what goes out as a file, is not touched by it. */
export interface Formats {
  date: DateStyle;
  distance: DistanceUnit;
  currency: Currency;
  sizes: UsualSizes;
}

export const USUAL_FORMATS: Formats = {
  date: 'day-month-name',
  distance: 'km',
  currency: 'EUR',
  sizes: 'eu',
};

/**
 * A day, or the day of a moment, as the clinic writes it.
 *
 * @example printDay('2031-06-08', USUAL_FORMATS) // '8 Jun 2031'
 */
export function printDay(day: string, { date }: Pick<Formats, 'date'>): string {
  const [year = '', month = '', ofMonth = ''] = day.slice(0, 10).split('-');
  return DATE_STYLES[date].write(year, month, ofMonth);
}

/**
 * A year, or a month of it.
 *
 * @example printMonth('2031-06') // 'Jun 2031'
 */
export function printMonth(on: string): string {
  const [year = '', month] = on.split('-');
  return month === undefined ? year : `${monthName(month)} ${year}`;
}

/**
 * A moment by Greenwich to the minute: day as the clinic writes it, then hours.
 *
 * @example printMoment('2031-06-08T09:40:12.000Z', USUAL_FORMATS) // '8 Jun 2031, 09:40'
 */
export const printMoment = (moment: string, formats: Pick<Formats, 'date'>): string =>
  `${printDay(moment, formats)}, ${moment.slice(11, 16)}`;

/**
 * A distance in whole kilometres or miles.
 *
 * @param km kilometres
 * @example printDistance(1087, { distance: 'km' }) // '1,087 km'
 */
export const printDistance = (km: number, { distance }: Pick<Formats, 'distance'>): string =>
  `${Math.round(distance === 'mi' ? km / KM_PER_MILE : km).toLocaleString('en')}\u2009${distance}`;

/**
 * A price in the clinic's currency, without cents where there are none.
 *
 * @example printPrice(129, { currency: 'EUR' }) // '€129'
 */
export const printPrice = (price: number, { currency }: Pick<Formats, 'currency'>): string =>
  new Intl.NumberFormat('en', {
    style: 'currency',
    currency,
    minimumFractionDigits: Number.isInteger(price) ? 0 : 2,
  }).format(price);
