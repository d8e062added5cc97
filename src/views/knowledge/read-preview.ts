import type { ProblemDetails } from '@/api/operation';
import type { PreviewLine } from '@/api/records';
import type { HouseRules } from '@/core/knowledge/house-rules';

const LOST = 'The preview ended early: the server cannot be reached. Nothing was changed.';

/** Splits text that arrives in pieces into whole lines; what is not yet ended is kept for the next piece. */
export function lineSplitter(): (piece: string) => string[] {
  let rest = '';
  return (piece) => {
    const lines = (rest + piece).split('\n');
    rest = lines.pop() ?? '';
    return lines.filter((line) => line !== '');
  };
}

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
    const split = lineSplitter();
    const reader = response.body.pipeThrough(new TextDecoderStream()).getReader();
    let finished = false;
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return finished ? null : LOST;
      for (const text of split(value)) {
        const line = JSON.parse(text) as PreviewLine;
        if ('finished' in line) finished = true;
        onLine(line);
      }
    }
  } catch {
    return LOST;
  }
}
