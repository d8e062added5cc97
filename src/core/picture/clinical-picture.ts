import type { Side } from './finding-kinds';
import {
  type AnyFindingValue,
  type BodyFindingId,
  definitionOf,
  FINDING_IDS,
  type FindingId,
  type FindingValue,
  type FootFindingId,
} from './findings';
import type { Taken, TakenKey } from './taken';

/** A finding nobody has taken. Never the same as a normal one. */
export const NOT_EXAMINED = 'not-examined';
export type NotExamined = typeof NOT_EXAMINED;

export type BodyFindings = { [K in BodyFindingId]?: FindingValue<K> };
export type FootFindings = { [K in FootFindingId]?: FindingValue<K> };

/** What one step, one record or one visit contributes: an absent key means “not examined”. */
export interface Findings {
  body?: BodyFindings;
  left?: FootFindings;
  right?: FootFindings;
  /** How each was taken, by `place.finding`. */
  taken?: Record<TakenKey, Taken>;
}

type Complete<T> = { readonly [K in keyof T]-?: Exclude<T[K], undefined> | NotExamined };

/** All findings of a patient at one moment, complete: what is not known says so. Immutable. */
export interface ClinicalPicture {
  readonly body: Complete<BodyFindings>;
  readonly left: Complete<FootFindings>;
  readonly right: Complete<FootFindings>;
  /** Method, moment, observer and instrument of each finding that has them, by `place.finding`. */
  readonly taken: Readonly<Record<TakenKey, Taken>>;
}

/**
 * Builds the one value that every calculation takes. Later contributions win, finding by finding, so what
 * still holds from an earlier visit comes first.
 */
export function clinicalPicture(...contributions: readonly Findings[]): ClinicalPicture {
  const picture: Record<'body' | Side, Record<string, unknown>> = { body: {}, left: {}, right: {} };
  const taken: Record<TakenKey, Taken> = {};
  for (const id of FINDING_IDS) {
    const places = definitionOf(id).scope === 'body' ? (['body'] as const) : (['left', 'right'] as const);
    for (const place of places) {
      let value: unknown = NOT_EXAMINED;
      for (const contribution of contributions) {
        const given = (contribution[place] as Record<string, unknown> | undefined)?.[id];
        if (given === undefined) continue;
        value = given;
        const how = contribution.taken?.[`${place}.${id}`];
        if (how) taken[`${place}.${id}`] = how;
        else delete taken[`${place}.${id}`];
      }
      picture[place][id] = value;
    }
  }
  return { ...picture, taken } as unknown as ClinicalPicture;
}

const OF_THE_BODY: ReadonlySet<FindingId> = new Set(
  FINDING_IDS.filter((id) => definitionOf(id).scope === 'body'),
);

/** Reads a finding as it concerns one side: a body finding reads the same from either. */
export function findingAt(
  picture: ClinicalPicture,
  id: FindingId,
  side: Side,
): AnyFindingValue | NotExamined {
  const place = OF_THE_BODY.has(id) ? picture.body : picture[side];
  return (place as Record<string, AnyFindingValue | NotExamined>)[id] ?? NOT_EXAMINED;
}

/** A copy in which one finding is as if nobody had taken it. */
export function withoutFinding(picture: ClinicalPicture, id: FindingId): ClinicalPicture {
  const forget = <T extends object>(part: T): T => (id in part ? { ...part, [id]: NOT_EXAMINED } : part);
  return {
    ...picture,
    body: forget(picture.body),
    left: forget(picture.left),
    right: forget(picture.right),
  };
}

/** The number a finding holds, or null when it was not examined. */
export function numberAt(picture: ClinicalPicture, id: FindingId, side: Side): number | null {
  const value = findingAt(picture, id, side);
  return typeof value === 'number' ? value : null;
}

/** The greater of both sides, null when neither was measured: a pair is fitted to the larger foot. */
export function greaterOf(picture: ClinicalPicture, id: FootFindingId): number | null {
  const left = numberAt(picture, id, 'left');
  const right = numberAt(picture, id, 'right');
  if (left === null) return right;
  return right === null ? left : Math.max(left, right);
}
