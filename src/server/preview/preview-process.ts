import { setPriority } from 'node:os';
import { type HouseRules, knowledgeOf } from '@/core/knowledge/house-rules';
import { type PictureChange, previewOf, type StoredPicture } from '@/core/prescribe/preview';

/** Told once, which rules give way to which; then page after page of stored pictures. */
export type PreviewAsked = { before: HouseRules; after: HouseRules } | { page: StoredPicture[] };
export type PreviewSaid = (PictureChange | null)[];

// Beside the server, in a process of its own that gives way: signing in and saving go on at their pace.
setPriority(10);

let preview: ReturnType<typeof previewOf> | null = null;

process.on('message', (asked: PreviewAsked) => {
  if ('page' in asked) process.send?.(asked.page.map((stored) => preview?.(stored) ?? null));
  else preview = previewOf(knowledgeOf(asked.before), knowledgeOf(asked.after));
});
process.on('disconnect', () => process.exit());
