import type { FindingValue } from '../findings/findings';
import { USE_FEATURES } from '../shoe/vocabulary/use-and-fit';
import { keysOf } from '../tables/keys-of';

export type Activity = FindingValue<'activities'>[number];
export type Surface = FindingValue<'surfaces'>[number];
export type Use = keyof (typeof USE_FEATURES)['use']['options'];

/**
 * Which shoes serve which purpose, and how well: 1 is made for it. A use that is not named does not serve at all. From
 * common practice; the shares are ours.
 */
export const SERVES: Readonly<Record<Activity, Readonly<Partial<Record<Use, number>>>>> = {
  'road-running': { 'road-running': 1 },
  racing: { racing: 1, 'road-running': 0.5 },
  trail: { trail: 1 },
  walking: { walking: 1, everyday: 0.9, 'road-running': 0.8, therapeutic: 0.8, trail: 0.6, hiking: 0.5 },
  hiking: { hiking: 1, trail: 1, 'road-running': 0.6, walking: 0.6 },
  court: { court: 1 },
  'indoor-court': { 'indoor-court': 1, court: 0.4 },
  'lifting-upright': { lifting: 1, gym: 0.4 },
  'lifting-low-bar': { lifting: 1, gym: 0.5 },
  gym: { gym: 1, 'road-running': 0.8, 'indoor-court': 0.7, court: 0.6, walking: 0.6 },
  'standing-work': { work: 1, safety: 0.8, walking: 0.5, therapeutic: 0.7, everyday: 0.4 },
  'protective-work': { safety: 1 },
  dress: { dress: 1, everyday: 0.5 },
  everyday: { everyday: 1, walking: 1, 'road-running': 0.7, therapeutic: 0.8, gym: 0.4, house: 0.5 },
};

const USES = keysOf(USE_FEATURES.use.options);

/** Uses that serve a purpose at all. */
export const usesServing = (activity: Activity): Use[] =>
  USES.filter((use) => SERVES[activity][use] !== undefined);

/** Where each purpose happens: what a pair for one purpose need not stand on is asked of the other pair. */
export const SURFACES_OF: Readonly<Record<Activity, readonly Surface[]>> = {
  'road-running': ['road', 'track', 'sand'],
  racing: ['road', 'track'],
  trail: ['trail', 'sand'],
  walking: ['road', 'sand', 'trail', 'home'],
  hiking: ['trail', 'road', 'sand'],
  court: ['hard-court', 'clay', 'grass', 'turf'],
  'indoor-court': ['gym-floor'],
  'lifting-upright': ['gym-floor'],
  'lifting-low-bar': ['gym-floor'],
  gym: ['gym-floor'],
  'standing-work': ['road', 'wet-floor'],
  'protective-work': ['road', 'wet-floor', 'trail'],
  dress: ['road', 'home'],
  everyday: ['road', 'home', 'sand'],
};
