import type { Choices } from '@/api/visit-schema';
import type { StoredPicture } from '@/core/prescribe/preview';

/** The choices of an issued specification as the resolver takes them. */
export const storedPicture = (findings: StoredPicture['findings'], choices: Choices): StoredPicture => ({
  findings,
  ...(choices.school ? { school: choices.school } : {}),
  setAside: choices.setAside ?? [],
  decisions: choices.decisions ?? [],
});
