import type { Result } from '../result';
import { parseDistance } from './distance';
import { parseLength } from './length';
import { parseMass } from './mass';
import { readQuantity } from './quantity';

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
  | 'months'
  | 'hours'
  | 'years'
  | 'g'
  | '%'
  | 'score';

export const UNIT_LABEL: Record<Unit, string> = {
  mm: 'mm',
  cm: 'cm',
  kg: 'kg',
  km: 'km',
  deg: '°',
  s: 's',
  'per-min': '/min',
  count: '',
  months: 'months',
  hours: 'h',
  years: 'y',
  g: 'g',
  '%': '%',
  score: '',
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

/** A value as people read it: at most one decimal, its unit after a thin space. */
export function printIn(unit: Unit, value: number): string {
  const figure = String(Math.round(value * 10) / 10).replace('-', '−');
  const label = UNIT_LABEL[unit];
  if (label === '') return figure;
  return label === '°' || label === '%' ? `${figure}${label}` : `${figure}\u2009${label}`;
}
