import type { ShoeModel } from '../catalogue/model';
import type { FeatureId, FeatureValues } from '../shoe/features';
import { differenceInWords, FELT, type FeelAxis, feelDifference, feelOf } from './feel';
import type { Ranked } from './rank';

/** A way in which another pair should differ. */
export type Direction =
  | { axis: FeelAxis; way: 1 | -1 }
  | { feature: FeatureId; way: 1 | -1 }
  | { feature: FeatureId; options: readonly string[] };

/** What people say, and the direction it asks for. */
export const DIRECTIONS = {
  softer: { label: 'softer', direction: { axis: 'firmness', way: -1 } },
  firmer: { label: 'firmer', direction: { axis: 'firmness', way: 1 } },
  lighter: { label: 'lighter', direction: { axis: 'weight', way: -1 } },
  'more-structured': { label: 'more structured', direction: { axis: 'structure', way: 1 } },
  'less-structured': { label: 'less structured', direction: { axis: 'structure', way: -1 } },
  'higher-drop': { label: 'higher heel', direction: { axis: 'drop', way: 1 } },
  'lower-drop': { label: 'lower heel', direction: { axis: 'drop', way: -1 } },
  'lower-stack': { label: 'lower to the ground', direction: { axis: 'height', way: -1 } },
  'easier-bend': { label: 'easier to bend', direction: { axis: 'stiffness', way: -1 } },
  'stiffer-bend': { label: 'stiffer to bend', direction: { axis: 'stiffness', way: 1 } },
  deeper: { label: 'deeper toe box', direction: { feature: 'toeBoxDepth', way: 1 } },
  'roomier-toes': {
    label: 'roomier toes',
    direction: { feature: 'toeBoxShape', options: ['square', 'anatomic'] },
  },
  wider: { label: 'wider', direction: { feature: 'width', way: 1 } },
  'flatter-arch': { label: 'flatter under the arch', direction: { feature: 'archContour', way: -1 } },
  'easier-closure': {
    label: 'easier to close',
    direction: { feature: 'closure', options: ['hook-and-loop', 'dial', 'zip', 'elastic', 'slip-on'] },
  },
} as const satisfies Record<string, { label: string; direction: Direction }>;
export type DirectionId = keyof typeof DIRECTIONS;

/** A step on a graded feature that is worth asking for. */
const STEP_OF_GRADE = 0.5;

/** How far a shoe goes the wished way from another, in felt steps; 0 when it does not, null when nobody knows. */
function stepsToward(direction: Direction, from: FeatureValues, to: FeatureValues): number | null {
  if ('axis' in direction) {
    const a = feelOf(from, direction.axis);
    const b = feelOf(to, direction.axis);
    return a === null || b === null ? null : (b - a) * direction.way;
  }
  const was = from[direction.feature];
  const is = to[direction.feature];
  if (is === undefined) return null;
  if ('options' in direction)
    return direction.options.includes(String(is)) && !direction.options.includes(String(was)) ? 1 : 0;
  return was === undefined ? null : ((Number(is) - Number(was)) * direction.way) / (2 * STEP_OF_GRADE);
}

export interface MoreLike {
  id: string;
  score: number;
  /** What else changes beside the wished, in words; empty where nothing is felt. */
  also: string;
}

/** What a felt step of unwished difference costs against a share of the specification. */
const COST_OF_A_STEP = 0.05;
/** A step the wished way beyond the first is worth this. */
const WORTH_OF_A_STEP = 0.03;

/**
 * Models like this one but softer (lighter, wider …): those that go the wished way by a felt step, ranked by how well they
 * serve the specification and how little else they change.
 */
export function moreLikeThis(
  wanted: DirectionId,
  like: ShoeModel,
  ranked: readonly Ranked[],
  models: ReadonlyMap<string, ShoeModel>,
  count = 5,
): MoreLike[] {
  const { direction }: { direction: Direction } = DIRECTIONS[wanted];
  return ranked
    .flatMap((entry) => {
      const model = models.get(entry.id)!;
      if (model.id === like.id) return [];
      const steps = stepsToward(direction, like.features, model.features);
      if (steps === null || steps < FELT) return [];
      const others = feelDifference(like.features, model.features);
      if ('axis' in direction) delete others[direction.axis];
      const strayed = Object.values(others).reduce((sum, step) => sum + Math.min(3, Math.abs(step)), 0);
      return [
        {
          id: model.id,
          score: entry.score,
          also: differenceInWords(others, 2),
          worth: entry.score - COST_OF_A_STEP * strayed + WORTH_OF_A_STEP * Math.min(2, steps),
        },
      ];
    })
    .toSorted((a, b) => b.worth - a.worth || (a.id < b.id ? -1 : 1))
    .slice(0, count)
    .map(({ id, score, also }) => ({ id, score, also }));
}
