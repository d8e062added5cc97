import { type FeatureValues, printFeature } from '../features';
import { BALL_SHARE } from './ball';
import { between, smooth, straight } from './curve';
import type { Dimension, Drawing, DrawnPart, Point } from './part';
import { upperParts } from './profile-upper';
import { numberOf, type Sole } from './sole-measures';

const INSOLE_MM = 4;

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

/**
 * Side profile of a shoe from its features, to scale in millimetres, heel left. One drawing for specification,
 * catalogue, patient sheet and PDF; it changes smoothly with every number.
 *
 * @param lengthMm length of the sole
 * @param allowed where a specification lets the foot stand; drawn as a band under it
 */
export function sideProfile(
  values: FeatureValues,
  lengthMm = 285,
  allowed: StandingBand | null = null,
): Drawing {
  const sole = soleOf(values, lengthMm);
  const ground = underside(sole);
  const top = bed(sole, 0);
  const lugs = values.tread === 'lugs';
  const outsoleTop = ground.map(([x, y]): Point => [x, y - (lugs ? 5 : 3)]);
  const parts: DrawnPart[] = [
    ...upperParts(values, sole),
    {
      id: 'midsole',
      kind: 'foam',
      d: between(bed(sole, INSOLE_MM), outsoleTop),
      features: [
        'heelStack',
        'forefootStack',
        'drop',
        'midsoleHardness',
        'heelCushioning',
        'forefootCushioning',
      ],
    },
    {
      id: 'insole',
      kind: 'insole',
      d: between(top, bed(sole, INSOLE_MM)),
      features: ['removableInsole', 'insoleDepth', 'archContour'],
    },
    {
      id: 'outsole',
      kind: 'outsole',
      d: between(outsoleTop, ground),
      features: ['outsoleHardness', 'tread', 'heelBevel', 'rocker', 'toeSpring', 'rockerApex'],
    },
    ...soleDetails(values, sole),
    ...(allowed ? [standingBand(sole, allowed)] : []),
  ];
  return {
    viewBox: [
      -26,
      -(sole.heel + 72 + numberOf(values, 'collarHeight') * 26),
      lengthMm + 66,
      sole.heel + 100 + numberOf(values, 'collarHeight') * 26,
    ],
    parts,
    dimensions: dimensionsOf(sole),
    summary: `Side profile: drop ${printFeature('drop', sole.heel - sole.fore)}, heel ${printFeature('heelStack', sole.heel)}, forefoot ${printFeature('forefootStack', sole.fore)}.`,
  };
}

/** How low and how high a specification lets heel and ball stand, mm. */
export interface StandingBand {
  heel: readonly [number, number];
  fore: readonly [number, number];
}

/** The band between the lowest and the highest bed that is allowed, in this shoe's own curve. */
function standingBand(sole: Sole, { heel, fore }: StandingBand): DrawnPart {
  const at = (end: 0 | 1) => bed({ ...sole, heel: heel[end], fore: fore[end] }, 0);
  return {
    id: 'allowed',
    kind: 'band',
    d: between(at(1), at(0)),
    features: ['heelStack', 'forefootStack', 'drop'],
  };
}

function soleDetails(values: FeatureValues, sole: Sole): DrawnPart[] {
  const { length: l, heel, fore } = sole;
  const parts: DrawnPart[] = [];
  const mid = (heel + fore) / 2;
  if (values.medialSupport === 'post' || values.medialSupport === 'foam')
    parts.push({
      id: 'post',
      kind: 'support',
      d: `${straight([
        [l * 0.2, -4],
        [l * 0.5, -4],
        [l * 0.5, -mid + 6],
        [l * 0.22, -heel + 6],
      ])}Z`,
      features: ['medialSupport'],
    });
  if (values.medialSupport === 'rail' || values.lateralSupport === 'sidewall')
    parts.push({
      id: 'rail',
      kind: 'support',
      d: between(
        [
          [l * 0.06, -heel - 5],
          [l * 0.25, -heel - 11],
          [l * 0.52, -mid - 6],
        ],
        [
          [l * 0.06, -heel + 6],
          [l * 0.25, -heel + 6],
          [l * 0.52, -mid + 6],
        ],
      ),
      features: ['medialSupport', 'lateralSupport'],
    });
  if (values.plate !== undefined && values.plate !== 'none')
    parts.push({
      id: 'plate',
      kind: 'line',
      d: smooth([
        [l * 0.3, -heel * 0.45],
        [l * 0.55, -fore * 0.42],
        [l * BALL_SHARE, -fore * 0.4],
        [l * 0.94, -fore * 0.45 - sole.spring * 0.75],
      ]),
      features: ['plate', 'forefootStiffness'],
    });
  const contour = numberOf(values, 'archContour') - 1;
  if (contour > 0.1)
    parts.push({
      id: 'arch',
      kind: 'insole',
      d: between(
        [
          [l * 0.24, -heel],
          [l * 0.4, -mid - 3 - contour * 5],
          [l * 0.58, -fore - 2],
        ],
        [
          [l * 0.24, -heel + 1],
          [l * 0.4, -mid],
          [l * 0.58, -fore - 1],
        ],
      ),
      features: ['archContour'],
    });
  if (numberOf(values, 'torsionalStiffness') >= 3.75)
    parts.push({
      id: 'shank',
      kind: 'support',
      d: between(
        [
          [l * 0.32, -8],
          [l * 0.43, -11],
          [l * 0.55, -8],
        ],
        [
          [l * 0.32, -4],
          [l * 0.43, -5],
          [l * 0.55, -4],
        ],
      ),
      features: ['torsionalStiffness'],
    });
  if (values.tread === 'lugs')
    for (let share = 0.12; share < 0.7; share += 0.06)
      parts.push({
        id: `lug-${Math.round(share * 100)}`,
        kind: 'outsole',
        d: `${straight([
          [l * share, 0],
          [l * share + 9, 0],
          [l * share + 7, 4],
          [l * share + 2, 4],
        ])}Z`,
        features: ['tread'],
      });
  const bendAt = numberOf(values, 'bendPoint') / 100;
  parts.push({
    id: 'bend',
    kind: 'guide',
    d: straight([
      [l * bendAt, -fore * 0.9],
      [l * bendAt, 7],
    ]),
    features: ['bendPoint', 'forefootStiffness'],
  });
  return parts;
}

function dimensionsOf({ length: l, heel, fore }: Sole): Dimension[] {
  const mm = (value: number) => String(Math.round(value * 10) / 10);
  return [
    { from: [-12, 0], to: [-12, -heel], text: mm(heel), feature: 'heelStack' },
    { from: [l * BALL_SHARE, 12], to: [l * BALL_SHARE, 12 - fore], text: mm(fore), feature: 'forefootStack' },
    { from: [l + 10, -fore], to: [l + 10, -heel], text: `drop ${mm(heel - fore)}`, feature: 'drop' },
  ];
}
