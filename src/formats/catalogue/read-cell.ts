import type { Stock } from '@/core/catalogue/model';
import { fail, ok, type Result } from '@/core/result/result';
import { type FeatureId, type FeatureValue, featureOf, printFeature } from '@/core/shoe/features';
import { type FeatureReading, VALUE_SOURCES, type ValueSource } from '@/core/shoe/readings/readings';
import { isWidthLetter, WIDTH_LETTERS, type WidthLetter } from '@/core/sizing/widths';
import { isKeyOf } from '@/core/tables/keys-of';
import { parseIn, type Unit } from '@/core/units/parse';

/** Grams from `270`, `270 g`, `0.27 kg`, `9.5 oz`. */
function grams(text: string): Result<number> {
  const typed = /^(.+?)\s*(kg|oz)$/i.exec(text.trim());
  const read = parseIn('g', typed ? typed[1]! : text);
  if (!read.ok || !typed) return read;
  return ok(read.value * (typed[2]!.toLowerCase() === 'kg' ? 1000 : 28.349523125));
}

/** A number in a unit; a decimal comma only where the comma does not separate the cells. */
export function numberIn(unit: Unit, text: string, decimalComma: boolean): Result<number> {
  if (!decimalComma && /\d,\d/.test(text))
    return fail('decimal-comma', `“${text}”: write a decimal point.`, text.replace(',', '.'));
  return unit === 'g' ? grams(text) : parseIn(unit, text);
}

/** What a number out of bounds was probably meant as, by the usual slips of unit. */
function slip(feature: FeatureId, value: number): string | undefined {
  const definition = featureOf(feature);
  if (definition.kind !== 'scale') return undefined;
  const factors =
    definition.unit === 'mm' ? [10, 25.4, 0.1] : definition.unit === 'g' ? [1000, 28.3495] : [100];
  for (const factor of factors) {
    const meant = Math.round(value * factor * 10) / 10;
    if (meant >= definition.bounds[0] && meant <= definition.bounds[1]) return String(meant);
  }
  return undefined;
}

/** Reads a feature's cell: a number with or without its unit, a grade by number or name, an option by name. */
function readFeatureCell(feature: FeatureId, text: string, decimalComma: boolean): Result<FeatureValue> {
  const definition = featureOf(feature);
  if (definition.kind === 'choice') {
    const typed = text.trim().toLowerCase();
    const option = Object.entries(definition.options).find(
      ([id, label]) => id === typed || label.toLowerCase() === typed,
    );
    return option
      ? ok(option[0])
      : fail('unknown-option', `“${text}” is none of ${Object.keys(definition.options).join(', ')}.`);
  }
  if (definition.kind === 'grade') {
    const at = definition.anchors.findIndex((anchor) => anchor.toLowerCase() === text.trim().toLowerCase());
    if (at >= 0) return ok(at + 1);
    const grade = numberIn('score', text, decimalComma);
    if (!grade.ok) return grade;
    return grade.value >= 1 && grade.value <= definition.anchors.length
      ? grade
      : fail('no-grade', `“${text}”: grades run from 1 to ${definition.anchors.length}.`);
  }
  const read = numberIn(definition.unit, text, decimalComma);
  if (!read.ok) return read;
  const [from, to] = definition.bounds;
  if (read.value < from || read.value > to) {
    const meant = slip(feature, read.value);
    return fail(
      'out-of-bounds',
      `${printFeature(feature, read.value)} lies outside ${from}–${to}${meant ? `: was ${meant} ${definition.unit} meant?` : '.'}`,
      meant,
    );
  }
  return read;
}

const SOURCE = new RegExp(`\\s@(${Object.keys(VALUE_SOURCES).join('|')})\\s+(\\d{4}-\\d{2}-\\d{2})$`);

/** A cell may say its own source: `8.5 @bench 2031-05-20`. */
function splitSource(text: string): { value: string; from?: ValueSource; on?: string } {
  const trimmed = text.trim();
  const match = SOURCE.exec(trimmed);
  const [, from, on] = match ?? [];
  return match && from && on && isKeyOf(VALUE_SOURCES, from)
    ? { value: trimmed.slice(0, match.index), from, on }
    : { value: trimmed };
}

/** Several readings of one feature in a cell are parted by a bar: `11 @bench 2031-05-20 | 8 @maker 2031-01-10`. */
export function readReadings(
  feature: FeatureId,
  text: string,
  fallback: { from: ValueSource; on: string },
  decimalComma: boolean,
): Result<FeatureReading[]> {
  const readings: FeatureReading[] = [];
  for (const part of text.split('|')) {
    const { value, from = fallback.from, on = fallback.on } = splitSource(part);
    const read = readFeatureCell(feature, value, decimalComma);
    if (!read.ok) return read;
    readings.push({ value: read.value, from, on });
  }
  return ok(readings);
}

/** `39-46` in half sizes, `39-46/1` in whole ones, or a list. */
export function readSizes(text: string): Result<number[]> {
  const range = /^([\d.]+)\s*[-–]\s*([\d.]+)(?:\s*\/\s*([\d.]+))?$/.exec(text.trim());
  const sizes = range
    ? rangeOf(Number(range[1]), Number(range[2]), range[3] === undefined ? 0.5 : Number(range[3]))
    : text
        .trim()
        .split(/[\s;|]+/)
        .map(Number);
  if (sizes.length === 0 || sizes.some((size) => !Number.isFinite(size) || size < 0 || size > 400))
    return fail('sizes', `“${text}”: write sizes as 39-46, 39-46/1 or 39 40.5 42.`);
  return sizes.length > 80
    ? fail('sizes', 'More than 80 sizes: check the step.')
    : ok([...new Set(sizes)].sort((a, b) => a - b));
}

function rangeOf(from: number, to: number, step: number): number[] {
  if (!(step > 0) || !(to >= from) || (to - from) / step > 400) return [];
  return Array.from({ length: Math.floor((to - from) / step + 1e-9) + 1 }, (_, at) => from + at * step);
}

export function readWidths(text: string): Result<WidthLetter[]> {
  const letters = text
    .trim()
    .split(/[\s;|]+/)
    .map((letter) => letter.toUpperCase());
  const unknown = letters.find((letter) => !isWidthLetter(letter));
  if (unknown !== undefined)
    return fail('widths', `“${unknown}” is no width letter: ${WIDTH_LETTERS.join(' ')}.`);
  return ok(WIDTH_LETTERS.filter((letter) => letters.includes(letter)));
}

/** How a file says that no pair is there; an empty cell says nothing. */
export const EMPTY_SHELF = 'none';

/** `42 D:3; 42.5 D:1`; sizes and widths must be among those that are made. */
export function readStock(
  text: string,
  sizes: readonly number[],
  widths: readonly WidthLetter[],
): Result<Stock> {
  const stock: Record<string, number> = {};
  if (text.trim().toLowerCase() === EMPTY_SHELF) return ok(stock);
  for (const part of text.split(';')) {
    if (part.trim() === '') continue;
    const match = /^\s*([\d.]+)\s+(\w+)\s*:\s*(\d{1,4})\s*$/.exec(part);
    if (!match) return fail('stock', `“${part.trim()}”: write stock as 42 D:3.`);
    const [, size, width, count] = match;
    const letter = width?.toUpperCase() ?? '';
    if (!sizes.includes(Number(size)) || !widths.some((made) => made === letter))
      return fail('stock', `${size} ${width} is not among the sizes and widths of this row.`);
    if (Number(count) > 0) stock[`${Number(size)} ${letter}`] = Number(count);
  }
  return ok(stock);
}
