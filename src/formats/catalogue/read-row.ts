import { type CatalogueEntry, type CellError, entryKey } from '@/core/catalogue/catalogue-entry';
import { fail, ok, type Result } from '@/core/result/result';
import type { FeatureId } from '@/core/shoe/features';
import { type FeatureReading, VALUE_SOURCES } from '@/core/shoe/readings/readings';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { keysOf } from '@/core/tables/keys-of';
import { COLUMN_NAMES, COLUMNS, type Column } from './columns';
import { numberIn, readReadings, readSizes, readStock, readWidths } from './read-cell';

/** Where each known column stands. */
export type Header = ReadonlyMap<string, number>;

/** Text as it is kept: trimmed, and without the apostrophe that an export puts before what looks like a formula. */
const plain = (cell: string | undefined): string => (cell ?? '').trim().replace(/^'(?=[=+\-@\t])/, '');

/** Reads the first line: which column stands where, and what is unknown or missing. */
export function readHeader(cells: readonly string[]): { header: Header; errors: CellError[] } {
  const header = new Map<string, number>();
  const errors: CellError[] = [];
  const at = (column: string, message: string) => errors.push({ row: 1, column, message });
  for (const [place, cell] of cells.entries()) {
    const name = cell
      .replace(/^\uFEFF/, '')
      .trim()
      .toLowerCase();
    if (name === '') continue;
    if (!COLUMN_NAMES.has(name)) at(name, unknownColumn(name));
    else if (header.has(name)) at(name, 'This column stands twice.');
    else header.set(name, place);
  }
  for (const { name, required } of COLUMNS)
    if (required && !header.has(name)) at(name, 'This column is missing.');
  return { header, errors };
}

function unknownColumn(name: string): string {
  const stem = name.replace(/_(mm|cm|in|g|kg|oz|percent|deg)$/, '');
  const meant = COLUMNS.find((column) => column.name.replace(/_(mm|g|percent|deg)$/, '') === stem);
  return meant
    ? `Not a column here: was ${meant.name} meant? The unit is in its name.`
    : 'Not a column here.';
}

export interface RowReader {
  /** An entry, or null when the row has errors. */
  read: (cells: readonly string[], row: number) => CatalogueEntry | null;
}

interface Reading {
  cell: (name: string) => string;
  /** Value of a result; notes the error and gives null otherwise. */
  take: <T>(column: string, result: Result<T>) => T | null;
  decimalComma: boolean;
}

/** Reads rows into entries; every error goes to `onError`. Rows of the same model in one file are an error. */
export function rowReader(
  header: Header,
  given: { decimalComma: boolean; today: string },
  onError: (error: CellError) => void,
): RowReader {
  const features = COLUMNS.filter(
    (column): column is Column & { feature: FeatureId } =>
      column.feature !== undefined && header.has(column.name),
  );
  const seen = new Map<string, number>();
  return {
    read: (cells, row) => {
      let clean = true;
      const reading: Reading = {
        decimalComma: given.decimalComma,
        cell: (name) => plain(cells[header.get(name) ?? -1]),
        take: (column, result) => {
          if (result.ok) return result.value;
          clean = false;
          const { message, suggestion } = result.problem;
          onError({ row, column, message, ...(suggestion === undefined ? {} : { suggestion }) });
          return null;
        },
      };
      const entry = entryOf(reading, features, given.today);
      if (entry) {
        const key = entryKey(entry);
        const before = seen.get(key);
        if (before !== undefined)
          reading.take(
            'name',
            fail('duplicate', `The same maker, model and version stand in row ${before}.`),
          );
        seen.set(key, before ?? row);
      }
      return clean ? entry : null;
    },
  };
}

function entryOf(
  reading: Reading,
  features: readonly (Column & { feature: FeatureId })[],
  today: string,
): CatalogueEntry | null {
  const { cell, take } = reading;
  const words = (column: string) => take(column, named(cell(column)));
  const maker = words('maker');
  const name = words('name');
  const version = words('version');
  const group = take('group', oneOf(cell('group'), ['men', 'women', 'child'] as const));
  const system = take('system', oneOf(cell('system'), keysOf(SIZE_SYSTEM_LABEL)));
  const bounded = (column: string, from: number, to: number) =>
    take(column, between(numberIn('mm', cell(column), reading.decimalComma), from, to, 'mm'));
  const allowanceMm = bounded('allowance_mm', 5, 25);
  const ballWidthMm = bounded('ball_width_mm', 60, 130);
  const sizes = take('sizes', readSizes(cell('sizes')));
  const widths = take('widths', readWidths(cell('widths')));
  const stock =
    sizes && widths && cell('stock') !== '' ? take('stock', readStock(cell('stock'), sizes, widths)) : null;
  const batch = take('batch', batchIn(cell('batch')));
  const madeOn = cell('made_on') === '' ? null : take('made_on', past(cell('made_on'), today));
  const price =
    cell('price') === ''
      ? null
      : take('price', between(numberIn('score', cell('price'), reading.decimalComma), 0, 100_000, ''));
  const status =
    cell('status') === ''
      ? null
      : take('status', oneOf(cell('status'), ['current', 'discontinued'] as const));
  const from = take('values_from', oneOf(cell('values_from') || 'maker', keysOf(VALUE_SOURCES)));
  const on = take('values_on', day(cell('values_on') || today));
  const readings: Partial<Record<FeatureId, FeatureReading[]>> = {};
  for (const { name: column, feature } of features) {
    const text = cell(column);
    if (text === '') continue;
    const read = take(
      column,
      readReadings(feature, text, { from: from ?? 'maker', on: on ?? today }, reading.decimalComma),
    );
    if (read) readings[feature] = read;
  }
  agreeingHeights(reading, readings);
  agreeingHeel(reading, readings);
  if (maker === null || name === null || version === null) return null;
  return {
    maker,
    name,
    version,
    sizing: {
      system: system ?? 'eu',
      group: group ?? 'men',
      allowanceMm: allowanceMm ?? 15,
      lengthOffsetMm: 0,
      widthOffsetMm: 0,
      sizes: sizes ?? [],
      widths: widths ?? [],
      ballWidthMm: ballWidthMm ?? 0,
    },
    stock,
    boxes: { ...(batch ? { batch } : {}), ...(madeOn ? { madeOn } : {}) },
    price,
    status,
    replaces: cell('replaces') || null,
    readings,
  };
}

/** Stated heights differ from their own drop by no more than rounding of each explains, mm. */
const HEIGHTS_AGREE_MM = 2;

/** A drop in another unit than the stacks is within its bounds; held against the stacks it is not. */
function agreeingHeights({ take }: Reading, readings: Partial<Record<FeatureId, FeatureReading[]>>): void {
  const [drop, heel, fore] = (['drop', 'heelStack', 'forefootStack'] as const).map((id) => readings[id]?.[0]);
  if (!drop || !heel || !fore || drop.from !== heel.from || heel.from !== fore.from) return;
  const stackDifference = Number(heel.value) - Number(fore.value);
  if (Math.abs(stackDifference - Number(drop.value)) > HEIGHTS_AGREE_MM)
    take(
      'drop_mm',
      fail(
        'heights',
        `Drop ${drop.value} mm, but the stacks are ${Math.round(stackDifference * 10) / 10} mm apart.`,
        String(Math.round(stackDifference * 10) / 10),
      ),
    );
}

/** An insole stands between the seat and the ground of a heel, mm. */
const SEAT_AND_STACK_MM = 8;

/** Only a heeled shoe has more drop than this, mm. */
const FLAT_DROP_MM = 25;

/** A heel stands as high as its stack, give or take the insole; a drop that only a heel has comes with the heel's height. */
function agreeingHeel({ take }: Reading, readings: Partial<Record<FeatureId, FeatureReading[]>>): void {
  const drop = Number(readings.drop?.[0]?.value ?? 0);
  if (drop > FLAT_DROP_MM && !readings.heelHeight)
    take(
      'drop_mm',
      fail(
        'out-of-bounds',
        `${drop} mm lies outside 0–${FLAT_DROP_MM} for a shoe whose heel height is not stated: check the unit.`,
        String(drop / 10),
      ),
    );
  const [height, stack] = (['heelHeight', 'heelStack'] as const).map((id) => readings[id]?.[0]);
  if (!height || !stack || height.from !== stack.from) return;
  if (Math.abs(Number(height.value) - Number(stack.value)) > SEAT_AND_STACK_MM)
    take(
      'heelHeight_mm',
      fail(
        'heights',
        `Heel height ${height.value} mm, but the heel stack is ${stack.value} mm.`,
        String(stack.value),
      ),
    );
}

function named(text: string): Result<string> {
  if (text === '') return fail('empty', 'This may not be empty.');
  if (text.length > 120) return fail('too-long', 'Longer than 120 characters.');
  // biome-ignore lint/suspicious/noControlCharactersInRegex: control characters are what is looked for
  if (/[\u0000-\u001F\uFFFD]/.test(text))
    return fail('characters', 'Unreadable characters: save the file as UTF-8.');
  return ok(text);
}

const batchIn = (text: string): Result<string> =>
  text.length > 60 ? fail('too-long', 'Longer than 60 characters.') : ok(text);

function past(text: string, today: string): Result<string> {
  const read = day(text);
  return read.ok && read.value > today ? fail('future', 'This day is in the future.') : read;
}

function oneOf<T extends string>(text: string, options: readonly T[]): Result<T> {
  const found = options.find((option) => option === text.toLowerCase());
  return found ? ok(found) : fail('unknown-option', `“${text}” is none of ${options.join(', ')}.`);
}

const between = (read: Result<number>, from: number, to: number, unit: string): Result<number> =>
  !read.ok || (read.value >= from && read.value <= to)
    ? read
    : fail('out-of-bounds', `${read.value}${unit && ` ${unit}`} lies outside ${from}–${to}.`);

function day(text: string): Result<string> {
  const date = /^\d{4}-\d{2}-\d{2}$/.test(text) ? new Date(`${text}T12:00:00Z`) : null;
  return date && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text)
    ? ok(text)
    : fail('day', `“${text}”: write the day as 2031-05-20.`);
}
