import type { Side } from '../findings/finding-kinds';

type ModificationUnit = 'mm' | 'deg' | '%';

interface ModificationEntry {
  label: string;
  unit: ModificationUnit | null;
  most: number;
  /** How far the made pair may be from what was ordered, in the same unit. Ours: what a rule and an eye can tell. */
  within: number;
}

/** Changes made to a pair before it is worn. */
export const MODIFICATIONS = {
  'heel-lift': { label: 'lift inside', unit: 'mm', most: 12, within: 1 },
  'sole-lift': { label: 'sole raised', unit: 'mm', most: 60, within: 2 },
  rocker: { label: 'rocker added, apex', unit: '%', most: 75, within: 2 },
  stretch: { label: 'stretched', unit: 'mm', most: 6, within: 1 },
  'medial-wedge': { label: 'wedge, inner side', unit: 'deg', most: 8, within: 1 },
  'lateral-wedge': { label: 'wedge, outer side', unit: 'deg', most: 8, within: 1 },
  filler: { label: 'filler', unit: 'mm', most: 12, within: 1 },
  'heel-grip': { label: 'heel grip', unit: 'mm', most: 6, within: 1 },
  insert: { label: 'insert put in', unit: null, most: 0, within: 0 },
  lacing: { label: 'relaced', unit: null, most: 0, within: 0 },
} as const satisfies Record<string, ModificationEntry>;
export type ModificationKind = keyof typeof MODIFICATIONS;

/** Where a shoe is stretched, or a filler lies. */
export const MODIFIED_PLACES = {
  'ball-inner': 'at the big-toe joint',
  'ball-outer': 'at the little-toe joint',
  ball: 'across the ball',
  toes: 'over the toes',
  instep: 'over the instep',
  arch: 'under the arch',
  heel: 'at the heel',
} as const;
export type ModifiedPlace = keyof typeof MODIFIED_PLACES;

/** Changes that need a place, and the places that they can have. */
export const PLACES_OF: Readonly<Partial<Record<ModificationKind, readonly ModifiedPlace[]>>> = {
  stretch: ['ball-inner', 'ball-outer', 'ball', 'toes', 'instep'],
  filler: ['toes', 'instep', 'arch', 'heel'],
};

/** What was found when the pair was held against its order. */
export interface ModificationCheck {
  /** In its unit; absent where it has none. */
  measured?: number;
  isMade: boolean;
}

export interface Modification {
  kind: ModificationKind;
  side: Side | 'both';
  amount?: number;
  place?: ModifiedPlace;
  note?: string;
  /** Absent until somebody looked. */
  check?: ModificationCheck;
}

const SIGNS: Readonly<Record<ModificationUnit, string>> = { mm: ' mm', deg: '°', '%': ' %' };

/** @example amountOf({ kind: 'medial-wedge', side: 'left', amount: 3 }) // '3°' */
export const amountOf = ({ kind, amount }: Pick<Modification, 'kind' | 'amount'>): string | null => {
  const { unit }: ModificationEntry = MODIFICATIONS[kind];
  return amount === undefined || unit === null ? null : `${amount}${SIGNS[unit]}`;
};

/** As it stands on the order: `left: lift inside 6 mm`. */
export function modificationInWords(modification: Modification): string {
  const { kind, side, place, note } = modification;
  const size = amountOf(modification);
  return [
    `${side}: ${MODIFICATIONS[kind].label}`,
    ...(size ? [size] : []),
    ...(place ? [MODIFIED_PLACES[place]] : []),
    ...(note ? [`(${note})`] : []),
  ].join(' ');
}

/** What keeps a changed pair from being worn: a change that nobody looked at, was not made, or is not as ordered. */
export function modificationProblem(modification: Modification): string | null {
  const { kind, amount, check } = modification;
  const words = modificationInWords(modification);
  if (!check) return `Not checked yet: ${words}.`;
  if (!check.isMade) return `Not made yet: ${words}.`;
  const { within, unit }: ModificationEntry = MODIFICATIONS[kind];
  if (unit === null || amount === undefined) return null;
  if (check.measured === undefined) return `Not measured yet: ${words}.`;
  return Math.abs(check.measured - amount) > within
    ? `${words}: measured ${amountOf({ kind, amount: check.measured })}, ordered ${amountOf(modification)}.`
    : null;
}
