import type { FeatureId, FeatureValues } from '../features';
import { BALL_SHARE } from './ball';
import type { NumberedPlace, Point } from './part';
import { numberOf, shareOfHeight, USUAL_LENGTH_MM } from './sole-measures';

type Zone =
  | 'heel-sole'
  | 'middle-sole'
  | 'ball-sole'
  | 'below'
  | 'toes'
  | 'tip'
  | 'heel-back'
  | 'collar'
  | 'throat'
  | 'sides'
  | 'inside';

/** Where on a side view each feature is pointed at. */
const ZONE_OF: Readonly<Partial<Record<FeatureId, Zone>>> = {
  drop: 'heel-sole',
  heelStack: 'heel-sole',
  heelCushioning: 'heel-sole',
  heelKind: 'heel-sole',
  heelHeight: 'heel-sole',
  heelBevel: 'heel-sole',
  heelBase: 'heel-sole',
  midsoleHardness: 'middle-sole',
  torsionalStiffness: 'middle-sole',
  medialSupport: 'middle-sole',
  lateralSupport: 'middle-sole',
  plate: 'ball-sole',
  forefootStack: 'ball-sole',
  forefootCushioning: 'ball-sole',
  forefootStiffness: 'ball-sole',
  forefootBase: 'ball-sole',
  bendPoint: 'ball-sole',
  rocker: 'ball-sole',
  rockerApex: 'ball-sole',
  rockerAngle: 'ball-sole',
  tread: 'below',
  lugDepth: 'below',
  outsoleHardness: 'below',
  toeSpring: 'tip',
  toeProtection: 'tip',
  toeDragZone: 'tip',
  toeRoom: 'toes',
  toeBoxShape: 'toes',
  toeBoxDepth: 'toes',
  toeBoxMaterial: 'toes',
  heelCounter: 'heel-back',
  counterReach: 'heel-back',
  softCounterEdge: 'heel-back',
  collarHeight: 'collar',
  collarPadding: 'collar',
  collarClear: 'collar',
  closure: 'throat',
  opening: 'throat',
  width: 'sides',
  upperFirmness: 'sides',
  overlaysReachSole: 'sides',
  sideGuard: 'sides',
  seamFree: 'sides',
  water: 'sides',
  archContour: 'inside',
  removableInsole: 'inside',
  insoleDepth: 'inside',
  insertKind: 'inside',
  metatarsalPad: 'inside',
  heelLift: 'inside',
};

/** Numbers that would lie on one another stand side by side, mm; at the tip, back toward the heel. */
const APART = 17;
const TOWARD_THE_HEEL: ReadonlySet<Zone> = new Set(['toes', 'tip']);

/**
 * Where the number of each feature stands on a side view, in its millimetres; several of one place side by side.
 *
 * @param lengthMm as the side view was drawn
 */
export function callouts(
  features: readonly FeatureId[],
  values: FeatureValues,
  lengthMm = USUAL_LENGTH_MM,
): NumberedPlace[] {
  const heel = numberOf(values, 'heelStack');
  const fore = Math.max(4, heel - numberOf(values, 'drop'));
  const tall = shareOfHeight(lengthMm);
  const places: Readonly<Record<Zone, Point>> = {
    'heel-sole': [0.12 * lengthMm, -heel / 2],
    'middle-sole': [0.4 * lengthMm, -heel / 2],
    'ball-sole': [BALL_SHARE * lengthMm, -fore / 2],
    below: [0.5 * lengthMm, 9],
    toes: [0.86 * lengthMm, -(fore + 22 * tall)],
    tip: [0.99 * lengthMm, -(fore + 4)],
    'heel-back': [0.05 * lengthMm, -(heel + 24 * tall)],
    collar: [0.12 * lengthMm, -(heel + 56 * tall)],
    throat: [0.44 * lengthMm, -(heel + 46 * tall)],
    sides: [0.5 * lengthMm, -(heel + 20 * tall)],
    inside: [0.28 * lengthMm, -(heel + 4)],
  };
  const taken = new Map<Zone, number>();
  return features.map((feature, index) => {
    const zone = ZONE_OF[feature] ?? 'sides';
    const before = taken.get(zone) ?? 0;
    taken.set(zone, before + 1);
    const [x, y] = places[zone];
    return { number: index + 1, at: [x + before * (TOWARD_THE_HEEL.has(zone) ? -APART : APART), y] };
  });
}
