import type { FeatureValues } from '../features';
import { BALL_SHARE } from './ball';
import { between, smooth, straight } from './curve';
import type { DrawnPart, Point } from './part';
import { bed, underside } from './sole-line';
import type { Sole } from './sole-measures';

/** A heel of its own under a thin sole; a flat or a platform sole is one piece. */
export type HeelShape = 'block' | 'slender' | 'wedge';
const HEEL_SHAPES: ReadonlySet<unknown> = new Set<HeelShape>(['block', 'slender', 'wedge']);
const isHeelShape = (kind: unknown): kind is HeelShape => HEEL_SHAPES.has(kind);

/** A lower heel is part of the sole, whatever it is called. */
const LOWEST_HEEL_MM = 16;
/** Thickness of a sole between heel and ball: the shank and what lies on it. */
const SHELL_MM = 6;

/** The heel that is drawn apart from its sole; null where the sole is one piece. */
export const heelShape = (values: FeatureValues, { heel, fore }: Sole): HeelShape | null =>
  isHeelShape(values.heelKind) && heel >= LOWEST_HEEL_MM && heel - fore >= 6 ? values.heelKind : null;

/** Underside of a sole that stands on a heel: off the ground from the heel’s breast to the ball. */
function archedUnderside(sole: Sole): Point[] {
  const { length: l, heel, fore, apex } = sole;
  const ball = Math.min(BALL_SHARE - 0.06, apex - 0.04);
  const shank: Point = [0.46, -(heel * 0.46 + fore * 0.54) + SHELL_MM + 1];
  return [
    [2, -heel + SHELL_MM],
    [l * 0.08, -heel + SHELL_MM + 1],
    [l * 0.25, -heel + SHELL_MM + 2],
    [l * shank[0], shank[1]],
    // Comes down flat, so that the curve through the ball dips no deeper than the ground.
    [l * (shank[0] + (ball - shank[0]) * 0.76), shank[1] * 0.16],
    [l * ball, -1],
    ...underside(sole).slice(5),
  ];
}

/** Where a heel stands, as shares of the length: its back and its breast on the ground, and its breast under the seat. */
export const STANDS_AT = {
  block: { back: 0.035, breast: 0.235, seat: 0.27 },
  slender: { back: 0.075, breast: 0.108, seat: 0.2 },
} as const;

/** The heel itself, from the seat to the ground. */
function heelOutline(shape: HeelShape, sole: Sole): string {
  const { length: l, heel } = sole;
  const seat = -heel + SHELL_MM;
  if (shape === 'wedge') {
    const arched = archedUnderside(sole).slice(0, 6);
    const last = arched.at(-1)!;
    return between(arched, [
      [2, -2],
      [l * 0.06, 0],
      [l * 0.3, 0],
      [l * 0.5, 0],
      [last[0], 0],
    ]);
  }
  const at = STANDS_AT[shape];
  const backLine = smooth([
    [1, seat],
    [l * at.back * 0.7, seat * 0.55],
    [l * at.back, 0],
  ]);
  const breastLine = smooth([
    [l * at.breast, 0],
    [l * (at.breast + 0.011), seat * 0.5],
    [l * at.seat, seat + 3],
  ]);
  return `${backLine}${breastLine.replace(/^M/, 'L')}Z`;
}

/** Midsole, outsole and heel of a shoe on a heel. */
export function heeledSole(shape: HeelShape, sole: Sole, insoleMm: number): DrawnPart[] {
  const arched = archedUnderside(sole);
  const top = arched.map(([x, y]): Point => [x, y - 2.5]);
  const features = ['heelStack', 'forefootStack', 'drop'] as const;
  return [
    {
      id: 'heel',
      kind: shape === 'wedge' ? 'foam' : 'outsole',
      d: heelOutline(shape, sole),
      features: ['heelKind', 'heelHeight', 'heelStack', 'heelBase'],
    },
    {
      id: 'midsole',
      kind: 'foam',
      d: between(bed(sole, insoleMm), top),
      features: [...features, 'midsoleHardness', 'heelCushioning', 'forefootCushioning'],
    },
    {
      id: 'outsole',
      kind: 'outsole',
      d: between(top, arched),
      features: ['outsoleHardness', 'tread', 'heelBevel', 'rocker', 'toeSpring', 'rockerApex'],
    },
    ...(shape === 'wedge' ? [] : [topPiece(shape, sole)]),
  ];
}

/** The piece of rubber that the heel stands on. */
function topPiece(shape: keyof typeof STANDS_AT, { length: l }: Sole): DrawnPart {
  const { back, breast } = STANDS_AT[shape];
  return {
    id: 'top-piece',
    kind: 'outsole',
    d: `${straight([
      [l * back, -4],
      [l * breast, -4],
      [l * breast, 0],
      [l * back, 0],
    ])}Z`,
    features: ['outsoleHardness', 'heelBase'],
  };
}
