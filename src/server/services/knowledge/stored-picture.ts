import type { StoredPicture } from '@/core/prescribe/counterfactual/preview';
import type { Choices } from '@/core/visit/contents';

/** The choices of an issued specification as the resolver takes them. */
export const storedPicture = (findings: StoredPicture['findings'], choices: Choices): StoredPicture => ({
  findings,
  ...(choices.school ? { school: choices.school } : {}),
  setAside: choices.setAside ?? [],
  decisions: choices.decisions ?? [],
});
