import { jsonLines } from '@/api/json-lines';
import type { ProblemDetails } from '@/api/operation';
import type { PreviewLine } from '@/api/records';
import type { HouseRules } from '@/core/knowledge/house-rules';

const LOST = 'The preview ended early: the server cannot be reached. Nothing was changed.';

/** Runs a preview and hands over each line as it arrives; answers what went wrong, or null. Aborting cancels it on the server. */
export async function readPreview(
  proposed: Omit<HouseRules, 'version'>,
  signal: AbortSignal,
  onLine: (line: PreviewLine) => void,
): Promise<string | null> {
  try {
    const response = await fetch('/api/v1/knowledge/house-rules/preview', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(proposed),
      signal,
    });
    if (!response.ok || !response.body) {
      const problem = (await response.json().catch(() => null)) as ProblemDetails | null;
      return [problem?.title ?? LOST, ...(problem?.errors ?? []).map((error) => error.message)].join(' ');
    }
    let finished = false;
    for await (const line of jsonLines<PreviewLine>(response.body)) {
      if ('finished' in line) finished = true;
      onLine(line);
    }
    return finished ? null : LOST;
  } catch {
    return LOST;
  }
}
