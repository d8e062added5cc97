import { failureInWords } from '@/contract/answer';
import { followLines } from '@/contract/client';
import type { PreviewLine } from '@/contract/records';
import type { HouseRules } from '@/core/knowledge/house-rules';

const LOST = 'The preview ended early: the server cannot be reached. Nothing was changed.';

/** Runs a preview and hands over each line as it arrives; answers what went wrong, or null. Aborting cancels it on the server. */
export async function readPreview(
  proposed: Omit<HouseRules, 'version'>,
  signal: AbortSignal,
  onLine: (line: PreviewLine) => void,
): Promise<string | null> {
  const answer = await followLines<PreviewLine>('previewHouseRules', { body: proposed }, onLine, { signal });
  if (answer.ok) return answer.value && 'finished' in answer.value ? null : LOST;
  return answer.kind === 'refused' ? failureInWords(answer) : LOST;
}
