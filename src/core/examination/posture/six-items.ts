import type { FootFindingId } from '../../findings/findings';

export interface PostureItem {
  id: FootFindingId;
  /** What −2 and +2 look like, in our own words. */
  minus: string;
  zero: string;
  plus: string;
  where: 'front' | 'behind' | 'inner';
}

/**
 * Six items of a relaxed stance on both feet, each −2 … +2. The total is ordinal.
 * Redmond 2006, Clin Biomech 21:89–98, from memory; the descriptions are ours, no scoring sheet is copied.
 */
export const POSTURE_ITEMS: readonly PostureItem[] = [
  {
    id: 'postureTalarHead',
    where: 'front',
    minus: 'felt on the outer side only',
    zero: 'felt on both sides alike',
    plus: 'felt on the inner side only',
  },
  {
    id: 'postureMalleolarCurves',
    where: 'behind',
    minus: 'curve below the ankle straight or bulging',
    zero: 'both curves alike',
    plus: 'curve below the ankle much deeper',
  },
  {
    id: 'postureHeel',
    where: 'behind',
    minus: 'clearly turned in',
    zero: 'upright',
    plus: 'clearly turned out',
  },
  {
    id: 'postureTalonavicular',
    where: 'inner',
    minus: 'hollow',
    zero: 'flat',
    plus: 'bulges clearly',
  },
  {
    id: 'postureInnerArch',
    where: 'inner',
    minus: 'high, peaked to the rear',
    zero: 'even curve',
    plus: 'low, middle touches the ground',
  },
  {
    id: 'postureForefoot',
    where: 'behind',
    minus: 'no outer toe seen, inner ones clear',
    zero: 'as much inside as outside',
    plus: 'no inner toe seen, outer ones clear',
  },
];

/** Sum of the six items; null while one is missing: a missing item is not a 0. */
export function postureTotal(scores: readonly (number | null)[]): number | null {
  let total = 0;
  for (const score of scores) {
    if (score === null) return null;
    total += score;
  }
  return total;
}
