import { clinicalPicture } from '../../examination/clinical-picture';
import type { Knowledge } from '../../knowledge/edition';
import { resolve } from '../engine/resolve';
import type { Specification } from '../engine/specification';
import type { StoredPicture } from './preview';

/** The same value with keys in one order: a database may order them otherwise. */
function inOneOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOneOrder);
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, entry]) => entry !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([key, entry]) => [key, inOneOrder(entry)]),
  );
}

export const canonical = (value: unknown): string => JSON.stringify(inOneOrder(value));

/** Resolves a stored picture again with the rules of its own edition. */
export function replay(stored: StoredPicture, knowledge: Knowledge): Specification {
  const { findings, school, setAside = [], decisions = [] } = stored;
  return resolve(clinicalPicture(findings), {
    ...(school ? { school } : {}),
    setAside,
    decisions,
    knowledge,
  });
}

/** Whether a specification, replayed, reads to the last byte as it was issued. */
export const replaysAlike = (issued: Specification, again: Specification): boolean =>
  canonical(issued) === canonical(again);
