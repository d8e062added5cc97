import { fail, ok, type Result } from '../result/result';

/** Unit word as people type it → how many base units one of it holds. */
export type UnitTable = Readonly<Record<string, number>>;

const NUMBER = String.raw`(?:\d+\s+\d+\s*\/\s*\d+|\d+\s*\/\s*\d+|\d+(?:[.,]\d+)?|[.,]\d+)(?:\s*[¼½¾⅛⅜⅝⅞⅓⅔])?|[¼½¾⅛⅜⅝⅞⅓⅔]`;
const PART = new RegExp(String.raw`\s*(${NUMBER})\s*([a-zµ°%"'′″]*)`, 'iy');
const VULGAR: Record<string, number> = {
  '¼': 1 / 4,
  '½': 1 / 2,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};

/** A number as typed: decimals with point or comma, `5/16`, `10 5/16`, `10½`. NaN when a fraction divides by zero. */
function readNumber(text: string): number {
  let rest = text.trim();
  let value = 0;
  const vulgar = rest.slice(-1);
  if (vulgar in VULGAR) {
    value += VULGAR[vulgar]!;
    rest = rest.slice(0, -1).trim();
    if (rest === '') return value;
  }
  const fraction = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(rest);
  if (fraction) {
    const [, whole = '0', top, bottom] = fraction;
    return Number(bottom) === 0 ? Number.NaN : value + Number(whole) + Number(top) / Number(bottom);
  }
  return value + Number(rest.replace(',', '.'));
}

/**
 * Reads one quantity as people type it, several parts allowed (`5 ft 9 in`), into base units.
 *
 * @param assumed the unit of a number typed without one
 * @returns the value in base units, or `not-a-number` / `unknown-unit` with a sentence that names what was typed
 * @example readQuantity('10 5/16in', { mm: 1, in: 25.4 }, 'mm') // 261.9375
 */
export function readQuantity(text: string, units: UnitTable, assumed: string): Result<number> {
  const typed = text.trim();
  const negative = /^[-−]/.test(typed);
  const body = typed.replace(/^[-−+]/, '');
  const known = Object.keys(units).filter((unit) => /^[a-z]/i.test(unit));
  let total = 0;
  let at = 0;
  let parts = 0;
  while (at < body.length) {
    PART.lastIndex = at;
    const match = PART.exec(body);
    if (!match) return fail('not-a-number', `“${typed}” is not a number.`);
    const word = match[2]!.toLowerCase();
    const factor = word === '' ? units[assumed] : units[word];
    if (factor === undefined)
      return fail('unknown-unit', `“${match[2]}” is not a unit known here. Use ${known.join(', ')}.`);
    total += readNumber(match[1]!) * factor;
    at = PART.lastIndex;
    parts += 1;
    while (body[at] === ' ') at += 1;
  }
  if (parts === 0 || !Number.isFinite(total)) return fail('not-a-number', `“${typed}” is not a number.`);
  return ok(negative ? -total : total);
}

/**
 * A plain number as people type it, with decimal point or comma.
 *
 * @example parseNumber(' 12,5 ', 'Write a number.') // 12.5
 */
export function parseNumber(text: string, otherwise: string): Result<number> {
  const typed = text.trim().replace('−', '-').replace(',', '.');
  const value = typed === '' ? Number.NaN : Number(typed);
  return Number.isFinite(value) ? ok(value) : fail('not-a-number', otherwise);
}
