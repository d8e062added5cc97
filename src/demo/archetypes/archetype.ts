import type { SizingGroup } from '@/core/findings/findings';
import type { FeatureId, FeatureValue } from '@/core/shoe/features';
import type { WidthLetter } from '@/core/sizing/widths';

export type Values = Partial<Record<FeatureId, FeatureValue>>;

/** A kind of shoe from which several invented models are varied. */
export interface Archetype {
  use: string;
  names: readonly string[];
  values: Values;
  widths?: readonly WidthLetter[];
  /** For whom alone it is made; else for men, women or both. */
  group?: SizingGroup;
}

/** What all shoes have in common unless a kind says otherwise. */
export const COMMON: Values = {
  midsoleHardness: 3,
  heelCushioning: 3,
  forefootCushioning: 3,
  forefootStiffness: 2,
  torsionalStiffness: 3,
  heelCounter: 3,
  counterReach: 28,
  bendPoint: 73,
  rocker: 1,
  toeSpring: 12,
  medialSupport: 'none',
  lateralSupport: 'none',
  heelBase: 82,
  forefootBase: 108,
  archContour: 2,
  toeBoxShape: 'round',
  toeBoxDepth: 2,
  toeBoxMaterial: 'mesh',
  toeProtection: 'none',
  toeDragZone: 'none',
  sideGuard: 'none',
  madeForSport: 'none',
  seamFree: 'no',
  upperFirmness: 2,
  overlaysReachSole: 2,
  collarHeight: 1,
  collarPadding: 2,
  closure: 'laces',
  opening: 2,
  removableInsole: 'yes',
  insoleDepth: 4,
  outsoleHardness: 3,
  tread: 'road',
  water: 'breathable',
  plate: 'none',
  heelBevel: 'none',
  heelKind: 'flat',
  softCounterEdge: 'no',
  rockerApex: 65,
};

export const WIDE: readonly WidthLetter[] = ['B', 'D', '2E', '4E'];
