import type { FeatureValues } from '../features';
import { BALL_SHARE } from './ball';
import type { Point } from './part';
import { numberOf, type Sole } from './sole-measures';

/** Height and bend of a sole in millimetres, as its features have them. */
export function soleOf(values: FeatureValues, lengthMm: number): Sole {
  const drop = numberOf(values, 'drop');
  const heel = numberOf(values, 'heelStack');
  const rocker = numberOf(values, 'rocker');
  const rockered = Math.max(0, rocker - 1) / 2;
  return {
    length: lengthMm,
    heel,
    fore: typeof values.forefootStack === 'number' ? values.forefootStack : Math.max(4, heel - drop),
    spring: numberOf(values, 'toeSpring') + rockered * 14,
    apex: rockered > 0 ? numberOf(values, 'rockerApex') / 100 : 0.72,
    bevel: values.heelBevel === undefined || values.heelBevel === 'none' ? 0.25 : 1,
  };
}

/** Ground line of the sole, heel to toe: bevel at the heel, flat to the apex, then up to the toe. */
export function underside({ length, spring, apex, bevel, heel }: Sole): Point[] {
  const lift = 3 + bevel * 8;
  const at = (share: number): Point => {
    const past = Math.max(0, (share - apex) / (1 - apex));
    return [share * length, -spring * past ** 1.8];
  };
  return [
    [2, -Math.min(heel * 0.55, lift + 4)],
    [length * 0.035, -lift * 0.45],
    [length * (0.07 + bevel * 0.05), 0],
    [length * 0.3, 0],
    [length * 0.48, 0],
    at(apex),
    at((apex + 1) / 2 - 0.03),
    at(0.93),
    [length - 3, -spring - 3],
  ];
}

/** Where the foot stands: level under the heel, down to the ball, up to the toe. */
export function bed({ length, heel, fore, spring, apex }: Sole, lower: number): Point[] {
  const toeLift = spring * 0.85;
  const past = Math.max(0, (BALL_SHARE - apex) / (1 - apex)) ** 1.8 * spring;
  return [
    [3, -heel - 2 + lower],
    [length * 0.08, -heel + lower],
    [length * 0.24, -heel + lower],
    [length * 0.48, -(heel * 0.48 + fore * 0.52) + lower],
    [length * BALL_SHARE, -fore - past * 0.7 + lower],
    [length * 0.88, -fore * 0.86 - toeLift * 0.55 + lower],
    [length - 4, -fore * 0.62 - toeLift - 2 + lower],
  ];
}
