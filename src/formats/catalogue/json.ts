import { z } from 'zod';
import { type CatalogueEntry, type CatalogueReport, entryKey } from '@/core/catalogue/catalogue-entry';
import type { BoxLabel } from '@/core/catalogue/model';
import { featureOf, isFeatureId } from '@/core/shoe/features';
import { VALUE_SOURCES, type ValueSource } from '@/core/shoe/readings/readings';
import { SIZE_SYSTEM_LABEL, type SizeSystem } from '@/core/sizing/systems';
import { WIDTH_LETTERS } from '@/core/sizing/widths';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { MODEL_FEATURES } from './columns';
import { ERRORS_LISTED, MOST_ROWS } from './read-csv';

const name = z.string().trim().min(1, 'This may not be empty.').max(120);
const day = z.iso.date('Write the day as year-month-day.');

const readingSchema = z.strictObject({
  value: z.union([z.number(), z.string()]),
  from: z.enum(Object.keys(VALUE_SOURCES) as [ValueSource, ...ValueSource[]]),
  on: day,
});

const entrySchema = z
  .strictObject({
    maker: name,
    name,
    version: name,
    group: z.enum(['men', 'women', 'child']),
    system: z.enum(Object.keys(SIZE_SYSTEM_LABEL) as [SizeSystem, ...SizeSystem[]]),
    allowanceMm: z.number().min(5).max(25),
    ballWidthMm: z.number().min(60).max(130),
    sizes: z.array(z.number().min(0).max(400)).min(1).max(80),
    widths: z.array(z.enum(WIDTH_LETTERS)).min(1).max(WIDTH_LETTERS.length),
    stock: z.record(z.string().max(12), z.int().min(0).max(9999)).nullable().default(null),
    boxes: z
      .strictObject({ batch: z.string().trim().min(1).max(60).optional(), madeOn: day.optional() })
      .default({}),
    price: z.number().min(0).max(100_000).nullable().default(null),
    status: z.enum(['current', 'discontinued']).nullable().default(null),
    replaces: name.nullable().default(null),
    readings: z.record(z.string(), z.array(readingSchema).max(4)).default({}),
  })
  .superRefine(({ readings, sizes, widths, stock }, context) => {
    for (const [id, list] of Object.entries(readings)) {
      const at = (message: string) => context.addIssue({ code: 'custom', path: ['readings', id], message });
      if (!isFeatureId(id) || !MODEL_FEATURES.includes(id)) {
        at('Not a feature of a model.');
        continue;
      }
      const feature = featureOf(id);
      for (const { value } of list) {
        if (feature.kind === 'choice') {
          if (!Object.hasOwn(feature.options, String(value))) at(`“${value}” is not an option.`);
          continue;
        }
        const [from, to] = feature.kind === 'scale' ? feature.bounds : [1, feature.anchors.length];
        if (typeof value !== 'number' || value < from || value > to)
          at(`${value} lies outside ${from}–${to}.`);
      }
    }
    for (const key of Object.keys(stock ?? {})) {
      const [size, width] = key.split(' ');
      if (!sizes.includes(Number(size)) || !widths.some((letter) => letter === width))
        context.addIssue({
          code: 'custom',
          path: ['stock', key],
          message: 'Not among its sizes and widths.',
        });
    }
  });

/** The document: models with everything that is said of them. */
const catalogueDocumentSchema = z.strictObject({
  format: z.literal('sovet-catalogue'),
  version: z.literal(1),
  models: z.array(z.unknown()).max(MOST_ROWS),
});

/** A catalogue as JSON; the readings keep source and day. */
export const writeCatalogueJson = (entries: readonly CatalogueEntry[]): string =>
  JSON.stringify(
    {
      format: 'sovet-catalogue',
      version: 1,
      models: entries.map(({ sizing, ...entry }) => ({
        ...entry,
        group: sizing.group,
        system: sizing.system,
        allowanceMm: sizing.allowanceMm,
        ballWidthMm: sizing.ballWidthMm,
        sizes: sizing.sizes,
        widths: sizing.widths,
      })),
    },
    null,
    1,
  );

/** Reads a catalogue in JSON; the row of an error is the place in the list, from 1. */
export function readCatalogueJson(text: string): { report: CatalogueReport; entries: CatalogueEntry[] } {
  const report: CatalogueReport = { rows: 0, entries: 0, errors: [], errorCount: 0, notes: [] };
  const entries: CatalogueEntry[] = [];
  const onError = (row: number, column: string, message: string) => {
    report.errorCount += 1;
    if (report.errors.length < ERRORS_LISTED) report.errors.push({ row, column, message });
  };
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    onError(1, '', 'The file is not valid JSON.');
    return { report, entries };
  }
  const document = catalogueDocumentSchema.safeParse(parsed);
  if (!document.success) {
    onError(
      1,
      document.error.issues[0]!.path.join('.'),
      'Not a catalogue: format, version and models are needed.',
    );
    return { report, entries };
  }
  const seen = new Map<string, number>();
  for (const [at, model] of document.data.models.entries()) {
    const row = at + 1;
    report.rows += 1;
    const read = entrySchema.safeParse(model);
    if (!read.success) {
      for (const issue of read.error.issues) onError(row, issue.path.join('.'), issue.message);
      continue;
    }
    const { group, system, allowanceMm, ballWidthMm, sizes, widths, boxes, ...rest } = read.data;
    const entry: CatalogueEntry = {
      ...rest,
      boxes: omitUndefined<BoxLabel>(boxes),
      sizing: {
        system,
        group,
        allowanceMm,
        ballWidthMm,
        lengthOffsetMm: 0,
        widthOffsetMm: 0,
        sizes: sizes.toSorted((a, b) => a - b),
        widths: widths.toSorted((a, b) => WIDTH_LETTERS.indexOf(a) - WIDTH_LETTERS.indexOf(b)),
      },
    };
    const before = seen.get(entryKey(entry));
    if (before !== undefined)
      onError(row, 'name', `The same maker, model and version stand in row ${before}.`);
    else {
      seen.set(entryKey(entry), row);
      entries.push(entry);
    }
  }
  report.entries = entries.length;
  if (report.rows === 0 && report.errorCount === 0) onError(1, 'models', 'The file holds no models.');
  return { report, entries };
}
