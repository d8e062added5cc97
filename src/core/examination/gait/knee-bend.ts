import type { Side } from '../../findings/finding-kinds';
import { FINDINGS, type FindingValue } from '../../findings/findings';
import type { Point } from '../footprint/orient';
import type { GaitLine } from './heel-angle';

/** How the knee is bent. The two are not the same: on one leg the hip has to hold the pelvis as well. */
export const KNEE_BEND_METHODS = FINDINGS.kneeBendMethod.options;
export type KneeBendMethod = FindingValue<'kneeBendMethod'>;

/** What is placed on a frame seen from in front. Pixels, y downwards. */
export interface KneeBendMarks {
  /** Middle of the kneecap. */
  knee: Point;
  /** Tip of the second toe. */
  toe: Point;
  /** Something that hangs or stands upright: a plumb line, a door frame; upper end first. */
  plumb: GaitLine;
  /** Two points at a known distance from each other, in the plane of the toes. */
  scale: readonly [Point, Point];
}

/** One placing on one frame. */
export interface KneeBendPlacing {
  side: Side;
  method: KneeBendMethod;
  /** From the plumb line through the kneecap to the second toe, mm; more than nothing, the knee falls inside. */
  insideMm: number;
  /** Lean of the line from toe to kneecap from upright, degrees; more than nothing, inward. */
  leanDeg: number;
  frame: number;
  marks: KneeBendMarks;
  /** Distance of the two points of the scale, mm. */
  scaleMm: number;
}

const DEGREES = 180 / Math.PI;

/**
 * Where the plumb line from the middle of the kneecap falls beside the second toe, in a view from in front: a rolled camera
 * changes nothing, since upright is read from the picture.
 *
 * @param scaleMm distance of the two points of the scale, mm
 * @returns null where plumb line or scale have no length
 */
export function readKneeBend(
  { knee, toe, plumb: [upper, lower], scale: [a, b] }: KneeBendMarks,
  side: Side,
  scaleMm: number,
): { insideMm: number; leanDeg: number } | null {
  const length = Math.hypot(lower.x - upper.x, lower.y - upper.y);
  const span = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 1 || span < 1 || !(scaleMm > 0)) return null;
  const down = { x: (lower.x - upper.x) / length, y: (lower.y - upper.y) / length };
  // To the right of the picture for an upright camera.
  const across = { x: down.y, y: -down.x };
  const [dx, dy] = [knee.x - toe.x, knee.y - toe.y];
  // From in front the patient's right foot stands at the left of the picture: its inner side is to the right.
  const inward = side === 'right' ? 1 : -1;
  const aside = inward * (dx * across.x + dy * across.y);
  const height = -(dx * down.x + dy * down.y);
  return { insideMm: (aside * scaleMm) / span, leanDeg: Math.atan2(aside, height) * DEGREES };
}

export interface KneeBendSummary {
  side: Side;
  method: KneeBendMethod;
  insideMm: number;
  leanDeg: number;
  /** Largest less smallest, mm; null for a single placing. */
  spreadMm: number | null;
  placings: number;
}

/** So many placings are asked for. */
export const KNEE_BEND_PLACINGS = 3;

/** Placings brought together by side and method, with their spread. */
export function summariseKneeBend(placings: readonly KneeBendPlacing[]): KneeBendSummary[] {
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  return (['left', 'right'] as const).flatMap((side) =>
    (['parallel', 'one-leg'] as const).flatMap((method): KneeBendSummary[] => {
      const own = placings.filter((entry) => entry.side === side && entry.method === method);
      if (own.length === 0) return [];
      const mm = own.map(({ insideMm }) => insideMm);
      return [
        {
          side,
          method,
          insideMm: mean(mm),
          leanDeg: mean(own.map(({ leanDeg }) => leanDeg)),
          spreadMm: own.length < 2 ? null : Math.max(...mm) - Math.min(...mm),
          placings: own.length,
        },
      ];
    }),
  );
}

/** Up to here on either side the line falls about over the second toe, mm. Ours: half the width of a forefoot’s second ray. */
export const OVER_THE_TOE_MM = 12;

/** Where the line falls, in the words of the hand. */
export const kneeBendClass = (insideMm: number): 'inside' | 'over' | 'outside' =>
  insideMm > OVER_THE_TOE_MM ? 'inside' : insideMm < -OVER_THE_TOE_MM ? 'outside' : 'over';
