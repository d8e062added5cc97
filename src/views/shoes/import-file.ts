import { failureInWords } from '@/contract/answer';
import { followLines } from '@/contract/client';
import type { ImportLine } from '@/contract/records';
import { fail, ok, type Result } from '@/core/result/result';

type Finished = Extract<ImportLine, { finished: object }>['finished'];

/** The file under the media type that its name says: browsers guess it from what is installed. */
const namedFile = (file: File): Blob =>
  new Blob([file], { type: file.name.toLowerCase().endsWith('.json') ? 'application/json' : 'text/csv' });

/** Sends a catalogue file and follows the import; aborting takes everything back. Failures are sentences. */
export async function importFile(
  file: File,
  signal: AbortSignal,
  onRows: (rows: number) => void,
): Promise<Result<Finished>> {
  const answer = await followLines<ImportLine>(
    'importCatalogue',
    { body: namedFile(file) },
    (line) => 'rows' in line && onRows(line.rows),
    { signal },
  );
  if (answer.ok)
    return answer.value && 'finished' in answer.value
      ? ok(answer.value.finished)
      : fail('broken-off', 'The import broke off. Nothing was changed.');
  switch (answer.kind) {
    case 'cancelled':
      return fail('cancelled', 'Cancelled. Nothing was changed.');
    case 'offline':
      return fail('offline', 'The server cannot be reached. Nothing was changed.');
    default:
      return fail('refused', failureInWords(answer));
  }
}
