import { PAIN_AND_JOINTS } from './publications/pain-and-joints';
import { RISK_AND_BALANCE } from './publications/risk-and-balance';
import { RUNNING_AND_WORK } from './publications/running-and-work';
import { recallMark, type Source } from './source';

export const SOURCES = {
  ...PAIN_AND_JOINTS,
  ...RISK_AND_BALANCE,
  ...RUNNING_AND_WORK,
  practice: {
    cite: 'Common practice',
    says: 'Practitioners work this way; there is no source to name.',
    recall: 100,
  },
  house: {
    cite: 'This clinic',
    says: 'The clinic’s own rule.',
    recall: 100,
  },
} as const satisfies Record<string, Source>;

/** Marks that stand for no publication. */
export const isPublished = (id: string): boolean => id !== 'practice' && id !== 'house';

export type SourceId = keyof typeof SOURCES;
export const isSourceId = (id: string): id is SourceId => Object.hasOwn(SOURCES, id);

const known = (id: string): Source | null => (isSourceId(id) ? SOURCES[id] : null);

/** Our confidence, in per cent, in the weakest publication that a rule cites; null when it cites none. */
export function recallOf(sources: readonly string[]): number | null {
  const published = sources.filter(isPublished).flatMap((id) => known(id) ?? []);
  return published.length === 0 ? null : Math.min(...published.map((source) => source.recall));
}

/** `Rabusin 2021, Br J Sports Med (from memory)`; common practice names no source. */
export const sourceInWords = (id: string): string => {
  const source = known(id);
  if (!source) return id;
  return isPublished(id) ? `${source.cite} (${recallMark(source.recall)})` : source.cite;
};
