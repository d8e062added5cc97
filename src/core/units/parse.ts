import type { Result } from '../result/result';
import { parseDistance } from './distance';
import { parseLength } from './length';
import { parseMass } from './mass';
import { readQuantity } from './quantity';
import { parseTemperature } from './temperature';

/** Units in which findings and features are kept. What people type is converted to these at the door. */
export type Unit =
  | 'mm'
  | 'cm'
  | 'kg'
  | 'km'
  | 'deg'
  | 's'
  | 'per-min'
  | 'count'
  | 'days'
  | 'weeks'
  | 'months'
  | 'hours'
  | 'years'
  | 'g'
  | '%'
  | 'score'
  | 'index'
  | 'kPa'
  | 'kPa-s'
  | 'cm2'
  | 'ml'
  | 'mm-per-kN'
  | 'degC';

export const UNIT_LABEL: Record<Unit, string> = {
  mm: 'mm',
  cm: 'cm',
  kg: 'kg',
  km: 'km',
  deg: '°',
  s: 's',
  'per-min': '/min',
  count: '',
  days: 'days',
  weeks: 'weeks',
  months: 'months',
  hours: 'h',
  years: 'y',
  g: 'g',
  '%': '%',
  score: '',
  index: '',
  kPa: 'kPa',
  'kPa-s': 'kPa·s',
  cm2: 'cm²',
  ml: 'ml',
  'mm-per-kN': 'mm/kN',
  degC: '°C',
};

/** Decimals worth showing: an index is a ratio whose third decimal still tells feet apart. */
export const decimalsOf = (unit: Unit): number =>
  unit === 'index' ? 3 : unit === 'kPa' || unit === 'ml' ? 0 : 1;

/** A value rounded to the decimals of its unit, with a true minus sign. */
export const figureIn = (unit: Unit, value: number): string => {
  const scale = 10 ** decimalsOf(unit);
  return String(Math.round(value * scale) / scale).replace('-', '−');
};

/** Reads typed text into the unit of a finding; lengths, masses and distances accept every common unit. */
export function parseIn(unit: Unit, text: string): Result<number> {
  switch (unit) {
    case 'mm':
      return parseLength(text, 'mm');
    case 'cm': {
      const length = parseLength(text, 'cm');
      return length.ok ? { ok: true, value: length.value / 10 } : length;
    }
    case 'kg':
      return parseMass(text);
    case 'km':
      return parseDistance(text);
    case 'deg':
      return readQuantity(text, { '°': 1, deg: 1 }, 'deg');
    case 'degC':
      return parseTemperature(text);
    case 's':
      return readQuantity(text, { s: 1, sec: 1, min: 60 }, 's');
    case 'months':
      return readQuantity(
        text,
        { months: 1, month: 1, mo: 1, weeks: 12 / 52, week: 12 / 52, years: 12, year: 12, y: 12 },
        'months',
      );
    case 'hours':
      return readQuantity(text, { h: 1, hours: 1, min: 1 / 60 }, 'h');
    default:
      return readQuantity(text, { [unit]: 1, '/': 1 }, unit);
  }
}

/** A value as people read it: rounded to its unit’s decimals, the unit after a thin space. */
export function printIn(unit: Unit, value: number): string {
  const figure = figureIn(unit, value);
  const label = UNIT_LABEL[unit];
  if (label === '') return figure;
  return label === '°' ? `${figure}${label}` : `${figure}\u2009${label}`;
}
