import Papa from 'papaparse';
import type { CatalogueEntry, CatalogueReport, CellError } from '@/core/catalogue/catalogue-entry';
import { COLUMN_NAMES } from './columns';
import { ENCODING_LOOK, encodingOf } from './decode';
import { type RowReader, readHeader, rowReader } from './read-row';

/** More rows than this are refused: no clinic's catalogue is that large, and a slip should not run for an hour. */
export const MOST_ROWS = 100_000;
/** Errors listed; beyond them they are only counted. */
export const ERRORS_LISTED = 200;
/** A record longer than this has an open quote. */
const LONGEST_RECORD = 200_000;

const DELIMITERS = [',', ';', '\t', '|'] as const;

/** The delimiter under which the first line names the most columns. */
function delimiterOf(line: string): { delimiter: (typeof DELIMITERS)[number]; known: number } {
  const counted = DELIMITERS.map((delimiter) => ({
    delimiter,
    known: line.split(delimiter).filter((cell) =>
      COLUMN_NAMES.has(
        cell
          .replace(/["\uFEFF]/g, '')
          .trim()
          .toLowerCase(),
      ),
    ).length,
  }));
  return counted.reduce((best, next) => (next.known > best.known ? next : best));
}

/** Where the last whole record ends: a line end outside quotes. −1 when there is none. */
function endOfRecords(text: string): number {
  let quoted = false;
  let end = -1;
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    if (code === 34) quoted = !quoted;
    else if (code === 10 && !quoted) end = at;
  }
  return end;
}

interface Progress {
  rows: number;
  bytes: number;
}

/**
 * Reads a catalogue in CSV from chunks of bytes, a batch of entries at a time, so that memory stays flat however long the
 * file is. Separators , ; tab and bar, decimal commas where the comma does not separate, UTF-8, UTF-16 and Windows-1252.
 * Cells are text, never formulas. Nothing is thrown for a bad file: the report names row and column.
 *
 * @param onEntries takes each batch; entries of rows with errors are left out
 */
export async function readCatalogueCsv(
  chunks: AsyncIterable<Uint8Array>,
  given: {
    today: string;
    onEntries: (entries: CatalogueEntry[]) => Promise<void> | void;
    onProgress?: (progress: Progress) => void;
  },
): Promise<CatalogueReport> {
  const report: CatalogueReport = { rows: 0, entries: 0, errors: [], errorCount: 0, notes: [] };
  const onError = (error: CellError) => {
    report.errorCount += 1;
    if (report.errors.length < ERRORS_LISTED) report.errors.push(error);
  };
  const whole = (row: number, message: string) => onError({ row, column: '', message });
  let reader: RowReader | null = null;
  let delimiter: string = ',';
  let line = 0;

  const take = async (text: string): Promise<boolean> => {
    // One kind of line end: a lone record would otherwise leave the parser to guess.
    const lines = text.replaceAll('\r\n', '\n').replace(/\r$/, '');
    let body = lines;
    if (!reader) {
      const first = lines.split('\n', 1)[0]!;
      const delimiterFound = delimiterOf(first);
      if (delimiterFound.known === 0) {
        whole(
          1,
          'No known column in the first line. Separate columns by comma, semicolon, tab or bar, and name them.',
        );
        return false;
      }
      delimiter = delimiterFound.delimiter;
      if (delimiter !== ',')
        report.notes.push(`Separated by ${delimiter === '\t' ? 'tabs' : `“${delimiter}”`}.`);
      const { header, errors } = readHeader(Papa.parse<string[]>(first, { delimiter }).data[0] ?? []);
      for (const error of errors) onError(error);
      if (errors.length > 0) return false;
      reader = rowReader(header, { decimalComma: delimiter !== ',', today: given.today }, onError);
      line = 1;
      body = lines.slice(first.length).replace(/^\n/, '');
      if (body === '') return true;
    }
    const entries: CatalogueEntry[] = [];
    for (const cells of Papa.parse<string[]>(body, { delimiter, newline: '\n' }).data) {
      line += 1;
      if (cells.every((cell) => cell.trim() === '')) continue;
      report.rows += 1;
      if (report.rows > MOST_ROWS) {
        whole(line, `More than ${MOST_ROWS.toLocaleString('en')} rows: split the file.`);
        return false;
      }
      const entry = reader.read(cells, line);
      if (entry) entries.push(entry);
    }
    report.entries += entries.length;
    if (entries.length > 0) await given.onEntries(entries);
    return true;
  };

  let bytes = 0;
  let held = '';
  for await (const text of texts(chunks, report, (size) => {
    bytes += size;
  })) {
    if (text === null) {
      whole(line + 1, 'From here on the file is not valid UTF-8: save it as UTF-8 throughout.');
      return report;
    }
    held += text;
    const end = endOfRecords(held);
    if (end >= 0) {
      const batch = held.slice(0, end);
      held = held.slice(end + 1);
      if (!(await take(batch))) return report;
      given.onProgress?.({ rows: report.rows, bytes });
    } else if (held.length > LONGEST_RECORD) {
      whole(line + 1, 'A quote is opened here and never closed.');
      return report;
    }
  }
  if (held.trim() !== '' && !(await take(held))) return report;
  if (report.rows === 0 && report.errorCount === 0) whole(1, 'The file holds no rows.');
  given.onProgress?.({ rows: report.rows, bytes });
  return report;
}

/** Text out of bytes in the encoding that the first of them tell; null where it turns out not to hold. */
async function* texts(
  chunks: AsyncIterable<Uint8Array>,
  report: CatalogueReport,
  count: (bytes: number) => void,
): AsyncGenerator<string | null> {
  let decoder: TextDecoder | null = null;
  let first: Uint8Array[] = [];
  let looked = 0;
  const begin = (): Uint8Array => {
    const start = new Uint8Array(looked);
    let at = 0;
    for (const chunk of first) {
      start.set(chunk, at);
      at += chunk.length;
    }
    first = [];
    const { encoding, note } = encodingOf(start.subarray(0, ENCODING_LOOK));
    if (note) report.notes.push(note);
    decoder = new TextDecoder(encoding, { fatal: true });
    return start;
  };
  const decode = (bytes: Uint8Array | undefined): string | null => {
    try {
      return bytes ? decoder!.decode(bytes, { stream: true }) : decoder!.decode();
    } catch {
      return null;
    }
  };
  for await (const chunk of chunks) {
    count(chunk.length);
    if (!decoder) {
      first.push(chunk);
      looked += chunk.length;
      if (looked < ENCODING_LOOK) continue;
      yield decode(begin());
    } else yield decode(chunk);
  }
  if (!decoder) yield decode(begin());
  yield decode(undefined);
}
