import { SPORT_NAMES, type SportId } from '../sports/sport-names';
import { keysOf } from '../tables/keys-of';
import type { FindingValue } from './findings';

type Activity = FindingValue<'activities'>[number];
type Surface = FindingValue<'surfaces'>[number];

/** How a sport moves the foot: shares of its movement, together 1. */
export interface Movement {
  forward: number;
  sideways: number;
  jump: number;
  /** Turning on the ball. */
  pivot: number;
}

export interface Sport {
  /** Purposes under which it is played. */
  activities: readonly Activity[];
  movement: Movement;
  /** How much a toe is dragged over the ground, 0 … 1. */
  toeDrag: number;
  /** Grounds on which it is usually played. */
  ground: readonly Surface[];
}

const sport = (
  activities: readonly Activity[],
  [forward, sideways, jump, pivot]: readonly [number, number, number, number],
  toeDrag: number,
  ground: readonly Surface[],
): Sport => ({ activities, movement: { forward, sideways, jump, pivot }, toeDrag, ground });

const HALL = ['gym-floor'] as const;

/**
 * Sports in which what the foot does differs from running straight ahead. The shares of movement and the toe drag are ours,
 * drawn from no measurement: they order sports, and a clinic corrects their effect by house rules.
 */
export const SPORTS: Readonly<Record<SportId, Sport>> = {
  tennis: sport(['court', 'indoor-court'], [0.25, 0.4, 0.05, 0.3], 0.8, ['hard-court', 'clay', 'grass']),
  padel: sport(['court', 'indoor-court'], [0.2, 0.4, 0.05, 0.35], 0.5, ['turf']),
  'paddle-court': sport(['court', 'indoor-court'], [0.2, 0.5, 0.05, 0.25], 0.4, ['hard-court']),
  basketball: sport(['court', 'indoor-court'], [0.35, 0.25, 0.25, 0.15], 0.2, ['gym-floor', 'hard-court']),
  netball: sport(['court', 'indoor-court'], [0.3, 0.25, 0.25, 0.2], 0.2, ['gym-floor', 'hard-court']),
  'small-sided-football': sport(['court'], [0.5, 0.25, 0.05, 0.2], 0.3, ['turf']),
  'field-hockey': sport(['court'], [0.5, 0.3, 0, 0.2], 0.3, ['turf']),
  badminton: sport(['indoor-court'], [0.25, 0.35, 0.2, 0.2], 0.6, HALL),
  squash: sport(['indoor-court'], [0.25, 0.35, 0.05, 0.35], 0.5, HALL),
  'table-tennis': sport(['indoor-court'], [0.1, 0.6, 0.05, 0.25], 0.1, HALL),
  volleyball: sport(['indoor-court'], [0.15, 0.3, 0.45, 0.1], 0.3, HALL),
  handball: sport(['indoor-court'], [0.4, 0.25, 0.2, 0.15], 0.2, HALL),
  futsal: sport(['indoor-court'], [0.45, 0.3, 0.05, 0.2], 0.3, HALL),
  floorball: sport(['indoor-court'], [0.45, 0.3, 0, 0.25], 0.2, HALL),
  fencing: sport(['indoor-court'], [0.7, 0.1, 0.1, 0.1], 0.7, HALL),
  aerobics: sport(['gym'], [0.25, 0.35, 0.25, 0.15], 0, HALL),
  circuit: sport(['gym'], [0.4, 0.2, 0.3, 0.1], 0.1, HALL),
  skipping: sport(['gym'], [0.05, 0.05, 0.88, 0.02], 0, HALL),
  boxing: sport(['gym'], [0.2, 0.4, 0.1, 0.3], 0.2, HALL),
  'dance-fitness': sport(['gym'], [0.15, 0.3, 0.2, 0.35], 0.1, HALL),
  obstacles: sport(['gym', 'trail'], [0.4, 0.15, 0.35, 0.1], 0.2, ['trail', 'gym-floor']),
  'hill-running': sport(['trail'], [0.78, 0.14, 0.05, 0.03], 0.1, ['trail']),
  orienteering: sport(['trail'], [0.72, 0.18, 0.06, 0.04], 0.1, ['trail']),
};

/** What a toe that drags weighs beside the shares of movement. Ours. */
const DRAG_WEIGHT = 0.25;

/** How unlike two sports are to a shoe: 0 the same, 1 nothing in common. Half the summed differences of their shares, and a part of the toe drag. */
export function sportDistance(a: SportId, b: SportId): number {
  const [one, other] = [SPORTS[a], SPORTS[b]];
  const movement =
    keysOf(one.movement).reduce((sum, part) => sum + Math.abs(one.movement[part] - other.movement[part]), 0) /
    2;
  return Math.min(1, movement + DRAG_WEIGHT * Math.abs(one.toeDrag - other.toeDrag));
}

/** How well a shoe that was made for one sport serves another, 0 … 1; half the way apart serves hardly. Ours. */
export const servesSport = (wanted: SportId, madeFor: SportId): number =>
  Math.max(0.05, 1 - 2 * sportDistance(wanted, madeFor));

const IN_WORDS: Readonly<Record<keyof Movement, string>> = {
  forward: 'running forward',
  sideways: 'moving sideways',
  jump: 'jumping',
  pivot: 'turning',
};

/** From here a difference of two shares is worth saying. */
const TOLD = 0.08;

/**
 * How far off the shoe of another sport is, in a sentence: `Made for squash, not badminton: made for more turning and less
 * jumping.` Empty where it is made for one of the wanted sports.
 */
export function neighbourInWords(wanted: readonly SportId[], madeFor: SportId): string {
  if (wanted.length === 0 || wanted.includes(madeFor)) return '';
  const nearest = wanted.reduce((best, id) =>
    sportDistance(id, madeFor) < sportDistance(best, madeFor) ? id : best,
  );
  const [own, other] = [SPORTS[nearest], SPORTS[madeFor]];
  const differences = keysOf(own.movement)
    .map((part) => ({ part, by: other.movement[part] - own.movement[part] }))
    .filter(({ by }) => Math.abs(by) >= TOLD)
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .slice(0, 2)
    .map(({ part, by }) => `${by > 0 ? 'more' : 'less'} ${IN_WORDS[part]}`);
  const drag = own.toeDrag - other.toeDrag;
  if (drag >= 0.2) differences.push('less toe drag');
  const head = `Made for ${SPORT_NAMES[madeFor]}, not ${SPORT_NAMES[nearest]}:`;
  return differences.length === 0
    ? `${head} the foot moves much the same.`
    : `${head} it expects ${differences.join(' and ')}.`;
}

/** Sports that can be played under some purposes. */
export const sportsUnder = (activities: readonly Activity[]): SportId[] =>
  keysOf(SPORTS).filter((id) => SPORTS[id].activities.some((activity) => activities.includes(activity)));

/** What several sports ask together: of each movement the most, since the pair has to serve the hardest of them; in per cent. */
export function demandOf(sports: readonly SportId[]): {
  sideways: number;
  jump: number;
  pivot: number;
  toeDrag: number;
} {
  const most = (read: (entry: Sport) => number) =>
    Math.round(100 * Math.max(0, ...sports.map((id) => read(SPORTS[id]))));
  return {
    sideways: most(({ movement }) => movement.sideways),
    jump: most(({ movement }) => movement.jump),
    pivot: most(({ movement }) => movement.pivot),
    toeDrag: most(({ toeDrag }) => toeDrag),
  };
}
