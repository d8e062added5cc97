import type { FeatureValues } from '../shoe/features';

/** What a foot has to get used to between the old pair and the new one. */
export const CHANGE_AXES = {
  drop: 'heel-to-toe drop',
  stack: 'height of the heel',
  stiffness: 'stiffness of the forefoot',
  mass: 'weight',
  minimal: 'far less shoe than before',
  insert: 'a new insert',
} as const;
export type ChangeAxis = keyof typeof CHANGE_AXES;

export interface Change {
  axis: ChangeAxis;
  /** New less old, in the unit of the axis; 1 where there is none. */
  by: number;
  weeks: number;
}

/**
 * Weeks that a change of such a size takes, from the first size that counts. That a drop changed by more than 4 mm, or a step to
 * minimal, takes weeks and not days is common practice (handbook 07); every number of weeks is ours.
 */
export const WEEKS_FOR: Readonly<Record<ChangeAxis, readonly (readonly [beyond: number, weeks: number])[]>> =
  {
    drop: [
      [4, 6],
      [8, 8],
    ],
    stack: [
      [10, 2],
      [18, 4],
    ],
    stiffness: [
      [1, 2],
      [2, 4],
    ],
    mass: [[100, 1]],
    minimal: [[0, 8]],
    insert: [[0, 3]],
  };
/** Who is new to the sport takes so many times as long toward minimal. Ours. */
const BEGINNER_TIMES = 2;

export interface ChangeInput {
  from: FeatureValues;
  to: FeatureValues;
  newInsert: boolean;
  isBeginner: boolean;
}

const difference = (from: FeatureValues, to: FeatureValues, id: keyof FeatureValues): number | null => {
  const [a, b] = [from[id], to[id]];
  return typeof a === 'number' && typeof b === 'number' ? b - a : null;
};

/** From so many grades of cushioning on a pair is much softer than the last. Ours. */
const MUCH_SOFTER = 1.5;
export const isMuchSofter = (from: FeatureValues, to: FeatureValues): boolean =>
  (difference(from, to, 'heelCushioning') ?? 0) >= MUCH_SOFTER;

/** Beyond which size each axis begins to count: the largest first. What is not known of either pair is no change. */
export function changesBetween({ from, to, newInsert, isBeginner }: ChangeInput): Change[] {
  const towardMinimal = to.category === 'minimal' && from.category !== 'minimal';
  const sizes: [ChangeAxis, number | null][] = [
    ['drop', difference(from, to, 'drop')],
    ['stack', difference(from, to, 'heelStack')],
    ['stiffness', difference(from, to, 'forefootStiffness')],
    ['mass', difference(from, to, 'mass')],
    ['minimal', towardMinimal ? 1 : null],
    ['insert', newInsert ? 1 : null],
  ];
  return sizes
    .flatMap(([axis, by]): Change[] => {
      if (by === null) return [];
      const weeks = WEEKS_FOR[axis].findLast(([beyond]) => Math.abs(by) > beyond)?.[1] ?? 0;
      return weeks > 0
        ? [{ axis, by, weeks: axis === 'minimal' && isBeginner ? weeks * BEGINNER_TIMES : weeks }]
        : [];
    })
    .toSorted((a, b) => b.weeks - a.weeks);
}
