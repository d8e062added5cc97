import { SIDES, type Side } from './finding-kinds';
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
export const NOT_EXAMINED = 'not-examined' as const;
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

interface CompletePicture {
  readonly body: Complete<BodyFindings>;
  readonly left: Complete<FootFindings>;
  readonly right: Complete<FootFindings>;
  /** Method, moment, observer and instrument of each finding that has them, by `place.finding`. */
  readonly taken: Readonly<Record<TakenKey, Taken>>;
}

/**
 * All findings of a patient at one moment as they were entered, complete: what is not known says so. A finding is left
 * out or varied here, before anything is derived. Immutable.
 */
export interface EnteredPicture extends CompletePicture {
  readonly derived: false;
}

/** What was entered with everything that follows from it: what rules, fit and forecasts read. Immutable. */
export interface ClinicalPicture extends CompletePicture {
  readonly derived: true;
}

/** Either: for what reads single findings. */
export type Picture = EnteredPicture | ClinicalPicture;

/** Where a finding is recorded: once for the person, or on a foot. */
export type FindingPlace = 'body' | Side;

export const PLACES = ['body', ...SIDES] as const satisfies readonly FindingPlace[];

export const placesOf = (id: FindingId): readonly FindingPlace[] =>
  definitionOf(id).scope === 'body' ? BODY : SIDES;
const BODY = ['body'] as const;

/** What a picture holds of a finding at one place. */
export const valueAt = (
  picture: Picture,
  place: FindingPlace,
  id: FindingId,
): AnyFindingValue | NotExamined =>
  (picture[place] as Readonly<Record<string, AnyFindingValue | NotExamined>>)[id] ?? NOT_EXAMINED;

/** What a contribution holds of a finding at one place. */
export const contributedAt = (
  findings: Findings,
  place: FindingPlace,
  id: FindingId,
): AnyFindingValue | undefined => (findings[place] as Record<string, AnyFindingValue> | undefined)?.[id];

/**
 * Lays contributions over one another. Later ones win, finding by finding, so what still holds from an earlier visit
 * comes first.
 */
export function enteredPicture(...contributions: readonly Findings[]): EnteredPicture {
  const picture: Record<FindingPlace, Record<string, AnyFindingValue | NotExamined>> = {
    body: { ...NOTHING.body },
    left: { ...NOTHING.left },
    right: { ...NOTHING.right },
  };
  const taken: Record<TakenKey, Taken> = {};
  for (const contribution of contributions)
    for (const place of PLACES)
      for (const [id, value] of Object.entries(contribution[place] ?? {})) {
        if (value === undefined || !Object.hasOwn(NOTHING[place], id)) continue;
        picture[place][id] = value;
        const how = contribution.taken?.[`${place}.${id}`];
        if (how) taken[`${place}.${id}`] = how;
        else delete taken[`${place}.${id}`];
      }
  return { ...picture, taken, derived: false } as unknown as EnteredPicture;
}

/** Every finding of a place as if nobody had taken it. */
const NOTHING = Object.fromEntries(
  PLACES.map((place) => [
    place,
    Object.fromEntries(
      FINDING_IDS.filter((id) => placesOf(id).includes(place)).map((id) => [id, NOT_EXAMINED]),
    ),
  ]),
) as Record<FindingPlace, Record<string, NotExamined>>;

const OF_THE_BODY: ReadonlySet<FindingId> = new Set(
  FINDING_IDS.filter((id) => definitionOf(id).scope === 'body'),
);

/** Reads a finding as it concerns one side: a body finding reads the same from either. */
export const findingAt = (picture: Picture, id: FindingId, side: Side): AnyFindingValue | NotExamined =>
  valueAt(picture, OF_THE_BODY.has(id) ? 'body' : side, id);

/** A copy in which one finding is as if nobody had taken it. */
export function withoutFinding(picture: EnteredPicture, id: FindingId): EnteredPicture {
  const forget = <T extends object>(part: T): T => (id in part ? { ...part, [id]: NOT_EXAMINED } : part);
  return {
    ...picture,
    body: forget(picture.body),
    left: forget(picture.left),
    right: forget(picture.right),
  };
}

/** The number a finding holds, or null when it was not examined. */
export function numberAt(picture: Picture, id: FindingId, side: Side): number | null {
  const value = findingAt(picture, id, side);
  return typeof value === 'number' ? value : null;
}

/** The greater of both sides, null when neither was measured: a pair is fitted to the larger foot. */
export function greaterOf(picture: Picture, id: FootFindingId): number | null {
  const left = numberAt(picture, id, 'left');
  const right = numberAt(picture, id, 'right');
  if (left === null) return right;
  return right === null ? left : Math.max(left, right);
}
