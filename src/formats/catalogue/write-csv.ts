import Papa from 'papaparse';
import type { CatalogueEntry } from '@/core/catalogue/catalogue-entry';
import type { Stock } from '@/core/catalogue/model';
import type { FeatureId } from '@/core/shoe/features';
import { COLUMNS } from './columns';
import { EMPTY_SHELF } from './read-cell';

/** Text that a spreadsheet would take for a formula gets an apostrophe before it; the import takes it off again. */
export const withoutFormula = (text: string): string => (/^[=+\-@\t\r]/.test(text) ? `'${text}` : text);

/** Sizes as a range where they are one, else as a list. */
function sizesInWords(sizes: readonly number[]): string {
  const step = sizes.length > 2 ? sizes[1]! - sizes[0]! : 0;
  const even =
    step > 0 && sizes.every((size, at) => at === 0 || Math.abs(size - sizes[at - 1]! - step) < 1e-9);
  if (!even) return sizes.join(' ');
  return `${sizes[0]}-${sizes.at(-1)}${step === 0.5 ? '' : `/${step}`}`;
}

const readingsOf = (entry: CatalogueEntry, feature: FeatureId): string =>
  (entry.readings[feature] ?? []).map(({ value, from, on }) => `${value} @${from} ${on}`).join(' | ');

function stockInWords(stock: Stock | null): string {
  if (stock === null) return '';
  const counts = Object.entries(stock).map(([key, count]) => `${key}:${count}`);
  return counts.length === 0 ? EMPTY_SHELF : counts.join('; ');
}

function cellOf(entry: CatalogueEntry, column: (typeof COLUMNS)[number]): string {
  const { sizing } = entry;
  if (column.feature) return readingsOf(entry, column.feature);
  switch (column.name) {
    case 'maker':
    case 'name':
    case 'version':
      return withoutFormula(entry[column.name]);
    case 'group':
      return sizing.group;
    case 'system':
      return sizing.system;
    case 'allowance_mm':
      return String(sizing.allowanceMm);
    case 'ball_width_mm':
      return String(sizing.ballWidthMm);
    case 'sizes':
      return sizesInWords(sizing.sizes);
    case 'widths':
      return sizing.widths.join(' ');
    case 'stock':
      return stockInWords(entry.stock);
    case 'batch':
      return withoutFormula(entry.boxes.batch ?? '');
    case 'made_on':
      return entry.boxes.madeOn ?? '';
    case 'price':
      return entry.price === null ? '' : String(entry.price);
    case 'status':
      return entry.status ?? '';
    case 'replaces':
      return withoutFormula(entry.replaces ?? '');
    default:
      return '';
  }
}

/** A catalogue as CSV that the import reads back without loss; each value says where it comes from. */
export const writeCatalogueCsv = (entries: readonly CatalogueEntry[]): string =>
  `${Papa.unparse(
    [
      COLUMNS.map(({ name }) => name),
      ...entries.map((entry) => COLUMNS.map((column) => cellOf(entry, column))),
    ],
    { newline: '\r\n' },
  )}\r\n`;
