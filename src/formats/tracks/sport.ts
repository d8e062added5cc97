import type { TrackSport } from '@/core/tracks/track';

/** What was done, from a word of a file. */
export function sportOf(word: string | null): TrackSport {
  const text = (word ?? '').toLowerCase();
  if (/run|jog|lauf/.test(text)) return 'running';
  if (/hik|wander|trek|mountaineer/.test(text)) return 'hiking';
  if (/walk|spazier|gehen/.test(text)) return 'walking';
  return 'other';
}
