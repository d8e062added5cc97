import { type FeatureValues, printFeature } from '../features';
import { BALL_SHARE } from './ball';
import { between, smooth, straight } from './curve';
import { heeledSole, heelShape } from './heeled-sole';
import type { Dimension, Drawing, DrawnPart, Point } from './part';
import { upperParts } from './profile-upper';
import { bed, soleOf, underside } from './sole-line';
import { numberOf, type Sole, shareOfHeight, USUAL_LENGTH_MM } from './sole-measures';

const INSOLE_MM = 4;

/**
 * Side profile of a shoe from its features, to scale in millimetres, heel left. One drawing for specification,
 * catalogue, patient sheet and PDF; it changes smoothly with every number.
 *
 * @param lengthMm length of the sole
 * @param allowed where a specification lets the foot stand; drawn as a band under it
 */
export function sideProfile(
  values: FeatureValues,
  lengthMm = USUAL_LENGTH_MM,
  allowed: StandingBand | null = null,
): Drawing {
  const sole = soleOf(values, lengthMm);
  const shape = heelShape(values, sole);
  const top = bed(sole, 0);
  const parts: DrawnPart[] = [
    ...upperParts(values, sole),
    ...(shape === null ? flatSole(values, sole) : heeledSole(shape, sole, INSOLE_MM)),
    {
      id: 'insole',
      kind: 'insole',
      d: between(top, bed(sole, INSOLE_MM)),
      features: ['removableInsole', 'insoleDepth', 'archContour'],
    },
    ...(shape === null ? soleDetails(values, sole) : []),
    ...(allowed ? [standingBand(sole, allowed)] : []),
  ];
  const above = sole.heel + (72 + numberOf(values, 'collarHeight') * 26) * shareOfHeight(lengthMm);
  return {
    viewBox: [-32, -above, lengthMm + 74, above + 28],
    parts,
    dimensions: dimensionsOf(sole),
    summary: `Side profile: drop ${printFeature('drop', sole.heel - sole.fore)}, heel ${printFeature('heelStack', sole.heel)}, forefoot ${printFeature('forefootStack', sole.fore)}.`,
  };
}

/** Midsole and outsole of one piece, on the ground from heel to toe. */
function flatSole(values: FeatureValues, sole: Sole): DrawnPart[] {
  const ground = underside(sole);
  const outsoleTop = ground.map(([x, y]): Point => [x, y - (values.tread === 'lugs' ? 5 : 3)]);
  return [
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
      id: 'outsole',
      kind: 'outsole',
      d: between(outsoleTop, ground),
      features: ['outsoleHardness', 'tread', 'heelBevel', 'rocker', 'toeSpring', 'rockerApex'],
    },
  ];
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
