import type { FeatureValues } from '../features';
import { BALL_SHARE } from './ball';
import { closureParts } from './closures';
import { smooth, smoothClosed, straight } from './curve';
import type { DrawnPart, Point } from './part';
import { numberOf, type Sole, shareOfHeight } from './sole-measures';

/** A court shoe: low at the sides, open over the instep. */
export function courtShoe(values: FeatureValues, { length: l, heel, fore, spring }: Sole): DrawnPart[] {
  const tall = shareOfHeight(l);
  const depth = (numberOf(values, 'toeBoxDepth') - 2) * 6 * tall;
  const toe = -fore * 0.62 - spring * 0.85;
  const mid = -(heel * 0.5 + fore * 0.5);
  const topLine: Point[] = [
    [3, -heel - 58 * tall],
    [l * 0.06, -heel - 53 * tall],
    [l * 0.16, -heel - 34 * tall],
    [l * 0.32, -heel * 0.8 - fore * 0.2 - 24 * tall],
    [l * 0.5, mid - 20 * tall],
    [l * 0.66, -fore - 26 * tall],
    [l * 0.735, -fore - 35 * tall - depth * 0.6],
  ];
  return [
    {
      id: 'upper',
      kind: 'upper',
      d: smoothClosed([
        [3, -heel + 3],
        [-4, -heel - 26 * tall],
        ...topLine,
        [l * 0.82, -fore - 32 * tall - depth * 0.8],
        [l * 0.9, toe - 23 * tall - depth],
        [l * 0.965, toe - 14 * tall - depth * 0.6],
        [l - 3, toe - tall],
        [l * 0.9, toe + spring * 0.3 + 3],
        [l * BALL_SHARE, -fore + 3],
        [l * 0.45, mid + 4],
        [l * 0.2, -heel + 4],
      ]),
      features: ['upperFirmness', 'width', 'toeBoxDepth', 'toeBoxMaterial', 'seamFree', 'closure', 'mass'],
    },
    {
      id: 'counter',
      kind: 'counter',
      d: `${smooth([
        [4, -heel + 2],
        [-3, -heel - 24 * tall],
        [2, -heel - 44 * tall],
        [l * 0.12, -heel - 30 * tall],
        [l * 0.2, -heel + 3],
      ])}Z`,
      features: ['heelCounter', 'counterReach', 'softCounterEdge'],
    },
    {
      id: 'collar',
      kind: 'line',
      d: smooth(topLine),
      features: ['collarHeight', 'collarPadding', 'opening'],
    },
  ];
}

/** A house shoe: soft, low at the heel, open far down the instep, with a rolled edge. */
export function houseShoe(values: FeatureValues, { length: l, heel, fore, spring }: Sole): DrawnPart[] {
  const tall = shareOfHeight(l);
  const depth = (numberOf(values, 'toeBoxDepth') - 2) * 6 * tall;
  const collar = (numberOf(values, 'collarHeight') - 1) * tall;
  const toe = -fore * 0.62 - spring * 0.85;
  const mid = -(heel * 0.5 + fore * 0.5);
  const throat: Point = [l * 0.46, mid - 60 * tall - collar * 12];
  const vamp: Point = [l * 0.66, -fore - 48 * tall];
  const edge: Point[] = [
    [2, -heel - 46 * tall - collar * 22],
    [l * 0.1, -heel - 44 * tall - collar * 22],
    [l * 0.26, -heel - 40 * tall - collar * 18],
    [l * 0.38, mid - 48 * tall - collar * 14],
    throat,
  ];
  return [
    {
      id: 'upper',
      kind: 'upper',
      d: smoothClosed([
        [3, -heel + 3],
        [-5, -heel - 24 * tall],
        ...edge,
        [l * 0.56, mid - 58 * tall],
        vamp,
        [l * 0.8, -fore - 42 * tall - depth * 0.8],
        [l * 0.9, toe - 30 * tall - depth],
        [l * 0.97, toe - 18 * tall - depth * 0.6],
        [l - 2, toe - tall],
        [l * 0.9, toe + spring * 0.3 + 3],
        [l * BALL_SHARE, -fore + 3],
        [l * 0.45, mid + 4],
        [l * 0.2, -heel + 4],
      ]),
      features: ['upperFirmness', 'width', 'toeBoxDepth', 'toeBoxMaterial', 'seamFree', 'water', 'mass'],
    },
    {
      id: 'counter',
      kind: 'counter',
      d: `${smooth([
        [4, -heel + 2],
        [-4, -heel - 22 * tall],
        [1, -heel - 34 * tall],
        [l * 0.11, -heel - 24 * tall],
        [l * 0.17, -heel + 3],
      ])}Z`,
      features: ['heelCounter', 'counterReach', 'softCounterEdge'],
    },
    // The rolled edge, as thick as it is.
    ...[0, 7].map(
      (below): DrawnPart => ({
        id: below === 0 ? 'collar' : 'rolled-edge',
        kind: 'line',
        d: smooth(edge.map(([x, y]): Point => [x, y + below * tall])),
        features: ['collarHeight', 'collarPadding', 'softCounterEdge', 'opening'],
      }),
    ),
    ...closureParts(values, throat, vamp),
  ];
}

/** A post-operative shoe: a cloth upper that opens to the toes, square in front, two broad straps over whatever dressing is there. */
export function postOperativeShoe(
  values: FeatureValues,
  { length: l, heel, fore, spring }: Sole,
): DrawnPart[] {
  const tall = shareOfHeight(l);
  const toe = -fore * 0.62 - spring * 0.85;
  const mid = -(heel * 0.5 + fore * 0.5);
  const front: Point = [l * 0.83, -fore - 34 * tall];
  const side: Point[] = [
    [l * 0.02, -heel - 48 * tall],
    [l * 0.2, -heel - 44 * tall],
    [l * 0.32, mid - 60 * tall],
    [l * 0.46, mid - 74 * tall],
    [l * 0.62, -fore - 52 * tall],
    front,
  ];
  const strap = (id: string, [x, y]: Point): DrawnPart => ({
    id,
    kind: 'closure',
    d: `${straight([
      [x - 10, y - 5 * tall],
      [x + 14, y - tall],
      [x + 4, y + 40 * tall],
      [x - 22, y + 36 * tall],
    ])}Z`,
    features: ['closure', 'opening'],
  });
  return [
    {
      id: 'toes',
      kind: 'foot',
      d: smooth([
        [l * 0.8, -fore - 26 * tall],
        [l * 0.9, toe - 22 * tall],
        [l * 0.965, toe - 14 * tall],
        [l * 0.97, toe - 4 * tall],
        [l * 0.8, -fore],
      ]),
      features: ['toeBoxShape', 'toeRoom', 'toeProtection'],
    },
    {
      id: 'upper',
      kind: 'upper',
      d: `${straight([[2, -heel + 3], [-2, -heel - 30 * tall], ...side, [l * 0.85, -fore + 2], [l * 0.45, mid + 4]])}Z`,
      features: ['upperFirmness', 'width', 'toeBoxMaterial', 'seamFree', 'water', 'mass'],
    },
    {
      id: 'collar',
      kind: 'line',
      d: straight(side),
      features: ['collarHeight', 'collarPadding', 'opening'],
    },
    ...(values.closure === undefined || values.closure === 'hook-and-loop'
      ? [strap('strap-0', [l * 0.44, mid - 72 * tall]), strap('strap-1', [l * 0.66, -fore - 48 * tall])]
      : closureParts(values, [l * 0.46, mid - 74 * tall], [l * 0.7, -fore - 46 * tall])),
  ];
}
