import type { Side } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import type { FootFindings } from '../findings/picture';
import { isKeyOf } from '../tables/keys-of';
import { rubbedPlaceOf } from './rubbed-places';
import { siteOf, type View } from './sites';

export const LAYERS = { ache: 'Aches', injury: 'Injuries', skin: 'Skin' } as const;
export type Layer = keyof typeof LAYERS;

export const ACHE_TIMES = {
  'start-up': 'at start-up',
  during: 'during',
  after: 'after',
  night: 'at night',
} as const;
export type AcheTime = keyof typeof ACHE_TIMES;

/** `2029` or `2029-03`. */
export const INJURY_DATE = /^\d{4}(-(0[1-9]|1[0-2]))?$/;

export const INJURY_STATES = {
  healed: 'healed',
  troubling: 'still troubling',
  recovering: 'recovering',
} as const;
export type InjuryState = keyof typeof INJURY_STATES;

export const SKIN_KINDS = {
  ...FINDINGS.skin.options,
  redness: 'redness',
  wound: 'wound, ulcer',
} as const;
export type SkinKind = keyof typeof SKIN_KINDS;
export type InjuryKind = keyof typeof FINDINGS.injuries.options | 'other';

/** Skin that a shoe has rubbed or pressed. */
const RUBS: ReadonlySet<SkinKind> = new Set<SkinKind>(['blister', 'callus', 'corn', 'redness', 'nail']);

interface MarkBase {
  id: string;
  side: Side;
  view: View;
  site: string;
  /** Spot on the drawing of a right side, in its units. */
  x: number;
  y: number;
  note?: string | undefined;
}

export type AcheMark = MarkBase & {
  layer: 'ache';
  /** 0–10. */
  score?: number | undefined;
  when?: AcheTime[] | undefined;
  /** Its first day. */
  since?: string | undefined;
};
export type InjuryMark = MarkBase & {
  layer: 'injury';
  what?: InjuryKind | undefined;
  /** `2029` or `2029-03`. */
  on?: string | undefined;
  state?: InjuryState | undefined;
};
export type SkinMark = MarkBase & { layer: 'skin'; kind?: SkinKind | undefined };
export type BodyMark = AcheMark | InjuryMark | SkinMark;

const unique = <T>(values: readonly T[]): T[] => [...new Set(values)];
const knownIfAny = <T>(values: readonly T[]): T[] | undefined =>
  values.length > 0 ? unique(values) : undefined;

/**
 * What marks say in the vocabulary of findings: which aches and how bad the worst, which injuries, which skin.
 * No mark is not “none”: without marks nothing is said.
 */
export function findingsOfMarks(marks: readonly BodyMark[], side: Side): FootFindings {
  const here = marks.filter((mark) => mark.side === side);
  const aches = here.filter((mark) => mark.layer === 'ache');
  const scores = aches.flatMap((mark) => (mark.score === undefined ? [] : [mark.score]));
  const injuries = here.flatMap((mark) =>
    mark.layer === 'injury' && mark.what !== undefined && mark.what !== 'other' ? [mark.what] : [],
  );
  const skin = here.flatMap((mark) =>
    mark.layer === 'skin' && mark.kind !== undefined && isKeyOf(FINDINGS.skin.options, mark.kind)
      ? [mark.kind]
      : [],
  );
  const rubbed = here.flatMap((mark) =>
    mark.layer === 'skin' && mark.kind !== undefined && RUBS.has(mark.kind)
      ? (rubbedPlaceOf(mark.site) ?? [])
      : [],
  );
  return {
    pain: knownIfAny(aches.flatMap((mark) => siteOf(mark.site)?.ache ?? [])),
    worstPain: scores.length > 0 ? Math.max(...scores) : undefined,
    injuries: knownIfAny(injuries),
    skin: knownIfAny(skin),
    rubbedAt: knownIfAny(rubbed),
  };
}

/** Injuries in time, oldest first, undated ones last. */
export const injuryTimeline = (marks: readonly BodyMark[]): InjuryMark[] =>
  marks
    .filter((mark) => mark.layer === 'injury')
    .toSorted((a, b) => (a.on ?? '9999').localeCompare(b.on ?? '9999'));
