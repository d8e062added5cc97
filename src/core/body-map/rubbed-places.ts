import { FINDINGS } from '../findings/findings';
import { keysOf } from '../tables/keys-of';

export type RubbedPlace = keyof typeof FINDINGS.rubbedAt.options;
export const RUBBED_PLACES = keysOf(FINDINGS.rubbedAt.options);

/** Where on the drawings a rub or pressure belongs: what is done about it depends on the place. */
const SITES_OF: Readonly<Record<RubbedPlace, readonly string[]>> = {
  'toe-tips': ['toe-tips', 'big-toe-pulp', 'big-toe-nail'],
  'between-toes': ['between-toes'],
  knuckles: ['lesser-toe-knuckles'],
  ball: ['forefoot', 'first-head', 'fifth-head'],
  arch: ['arch', 'navicular'],
  instep: ['instep', 'midfoot'],
  'heel-back': ['heel-rim', 'achilles-insertion', 'heel-growth-plate', 'outer-heel', 'inner-heel'],
  'outer-edge': ['outer-edge', 'fifth-base', 'fifth-toe'],
  'inner-edge': ['bunion', 'big-toe'],
  ankle: ['ankle-outer', 'ankle-inner'],
};

const BY_SITE = new Map(
  RUBBED_PLACES.flatMap((place) => SITES_OF[place].map((site) => [site, place] as const)),
);

/** The place that a site on the drawing belongs to; null where a shoe does not rub. */
export const rubbedPlaceOf = (site: string): RubbedPlace | null => BY_SITE.get(site) ?? null;

/** Asked before a shoe is blamed for what is found on one side only. */
export const ONE_SIDE_FIRST =
  'on one side: look at camber, leg length and a difference in size before the shoe is blamed';
