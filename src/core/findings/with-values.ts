import type { AnyFindingValue, FindingId } from './findings';
import type { FindingPlace, Findings } from './picture';
import type { Taken } from './taken';

export type Place = FindingPlace;

/** One finding at its place and what it becomes; undefined: not examined. */
export interface PlacedValue {
  place: Place;
  id: FindingId;
  value: AnyFindingValue | undefined;
}

type Part = Record<string, AnyFindingValue | undefined>;

/** Findings with some values put in or taken out, each with how it was taken. The given ones are not changed. */
export function withValues(findings: Findings, values: readonly PlacedValue[], taken: Taken): Findings {
  const next: Record<string, unknown> = { ...findings };
  const how: Record<string, Taken> = { ...findings.taken };
  for (const { place, id, value } of values) {
    const part: Part = { ...(next[place] as Part | undefined), [id]: value };
    if (value === undefined) {
      delete part[id];
      delete how[`${place}.${id}`];
    } else how[`${place}.${id}`] = taken;
    next[place] = part;
  }
  return { ...(next as Findings), taken: how };
}
