import { jsonLines } from '@/api/json-lines';
import type { ImportLine } from '@/api/records';
import { fail, ok, type Result } from '@/core/result';

type Finished = Extract<ImportLine, { finished: object }>['finished'];

/** Sends a catalogue file and follows the import; aborting takes everything back. Failures are sentences. */
export async function importFile(
  file: File,
  signal: AbortSignal,
  onRows: (rows: number) => void,
): Promise<Result<Finished>> {
  try {
    const response = await fetch('/api/v1/catalogue', {
      method: 'POST',
      body: file,
      headers: {
        'content-type': file.name.toLowerCase().endsWith('.json') ? 'application/json' : 'text/csv',
      },
      signal,
    });
    if (!response.ok || !response.body) {
      const problem = (await response.json().catch(() => null)) as { title?: string } | null;
      return fail('refused', problem?.title ?? 'The server did not take the file.');
    }
    for await (const line of jsonLines<ImportLine>(response.body)) {
      if ('finished' in line) return ok(line.finished);
      onRows(line.rows);
    }
    return fail('broken-off', 'The import broke off. Nothing was changed.');
  } catch {
    return signal.aborted
      ? fail('cancelled', 'Cancelled. Nothing was changed.')
      : fail('offline', 'The server cannot be reached. Nothing was changed.');
  }
}
