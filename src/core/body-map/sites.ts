import type { FINDINGS } from '../findings/findings';

/** Drawings on which a place is marked, each of a right side; the left is mirrored. */
export const VIEWS = {
  front: 'leg, front',
  back: 'leg, back',
  sole: 'sole',
  top: 'top',
  outer: 'outer side',
  inner: 'inner side',
  heel: 'heel, from behind',
} as const;
export type View = keyof typeof VIEWS;

export type AcheSite = keyof typeof FINDINGS.pain.options;

/** A named place on one drawing. Drawings are 100 units wide; the legs 200 high, the feet as tall as they need. */
export interface Site {
  id: string;
  view: View;
  label: string;
  x: number;
  y: number;
  /** The ache that a mark here stands for, where the vocabulary has one. */
  ache: AcheSite | null;
}

const site = (
  id: string,
  view: View,
  label: string,
  x: number,
  y: number,
  ache: AcheSite | null = null,
): Site => ({ id, view, label, x, y, ache });

/** Places by drawing. What is pressed elsewhere takes the name of the nearest one and keeps its own spot. */
export const SITES: readonly Site[] = [
  site('hip', 'front', 'hip', 38, 12, 'hip'),
  site('knee-front', 'front', 'front of the knee', 47, 86, 'knee-front'),
  site('knee-inner', 'front', 'inner side of the knee', 33, 90, 'knee-inner'),
  site('shin', 'front', 'shin', 45, 132, 'shin'),
  site('calf', 'back', 'calf', 52, 122, 'calf'),
  site('achilles-mid', 'back', 'heel cord, mid-portion', 50, 165, 'achilles-mid'),
  site('knee-back', 'back', 'back of the knee', 52, 88),
  site('thigh-back', 'back', 'back of the thigh', 52, 45),
  site('achilles-insertion', 'heel', 'heel cord, insertion', 50, 44, 'achilles-insertion'),
  site('heel-growth-plate', 'heel', 'heel, growth plate', 50, 68, 'heel-growth-plate'),
  site('heel-rim', 'heel', 'rim of the heel', 50, 86),
  site('plantar-heel', 'sole', 'under the heel', 50, 170, 'plantar-heel'),
  site('arch', 'sole', 'arch', 38, 118, 'arch'),
  site('outer-edge', 'sole', 'outer edge', 70, 118),
  site('first-head', 'sole', 'under the first metatarsal head', 32, 64),
  site('forefoot', 'sole', 'ball of the foot', 52, 62, 'forefoot'),
  site('fifth-head', 'sole', 'under the fifth metatarsal head', 74, 74),
  site('big-toe-pulp', 'sole', 'pulp of the big toe', 30, 22),
  site('toe-tips', 'sole', 'tips of the lesser toes', 60, 26),
  site('between-toes', 'top', 'between the toes, burning', 55, 38, 'between-toes'),
  site('big-toe', 'top', 'big-toe joint', 30, 62, 'big-toe'),
  site('fifth-toe', 'top', 'fifth toe', 76, 52),
  site('lesser-toe-knuckles', 'top', 'knuckles of the lesser toes', 62, 30),
  site('big-toe-nail', 'top', 'nail of the big toe', 31, 18),
  site('midfoot', 'top', 'midfoot joints', 46, 110, 'midfoot'),
  site('instep', 'top', 'instep', 48, 140),
  site('ankle-outer', 'outer', 'ankle, outer side', 34, 34, 'ankle-outer'),
  site('fifth-base', 'outer', 'base of the fifth metatarsal', 52, 70),
  site('outer-heel', 'outer', 'outer side of the heel', 16, 66),
  site('ankle-inner', 'inner', 'ankle, inner side', 66, 34, 'ankle-inner'),
  site('navicular', 'inner', 'navicular', 50, 56),
  site('bunion', 'inner', 'inner side of the big-toe joint', 20, 74),
  site('inner-heel', 'inner', 'inner side of the heel', 84, 66),
];

const BY_ID = new Map(SITES.map((entry) => [entry.id, entry]));
export const siteOf = (id: string): Site | undefined => BY_ID.get(id);
export const sitesOn = (view: View): Site[] => SITES.filter((entry) => entry.view === view);

/** The named place nearest to a spot on a drawing. */
export function nearestSite(view: View, x: number, y: number): Site {
  return sitesOn(view).reduce((best, entry) =>
    Math.hypot(entry.x - x, entry.y - y) < Math.hypot(best.x - x, best.y - y) ? entry : best,
  );
}
