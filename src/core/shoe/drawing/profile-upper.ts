import type { FeatureValues } from '../features';
import { BALL_SHARE } from './ball';
import { closureParts } from './closures';
import { smooth, smoothClosed, straight } from './curve';
import type { DrawnPart, Point } from './part';
import { numberOf, type Sole, shareOfHeight } from './sole-measures';
import { courtShoe, houseShoe, postOperativeShoe } from './special-uppers';

/** Upper, counter, collar, toe box, tongue, lacing and cap, from the side. */
export function upperParts(values: FeatureValues, sole: Sole): DrawnPart[] {
  if (values.closure === 'slip-on' && values.use === 'dress') return courtShoe(values, sole);
  if (values.use === 'house') return houseShoe(values, sole);
  if (values.use === 'post-operative') return postOperativeShoe(values, sole);
  const { length: l, heel, fore, spring } = sole;
  const tall = shareOfHeight(l);
  const collar = (numberOf(values, 'collarHeight') - 1) * tall;
  // A child’s shoe is deep and round in front.
  const depth = (numberOf(values, 'toeBoxDepth') - 2) * 6 + (1 - tall) * 24;
  const firm = numberOf(values, 'heelCounter');
  const reach = numberOf(values, 'counterReach') / 100;
  const toe = -fore * 0.62 - spring * 0.85;
  const rim = -heel - 52 * tall - collar * 26;
  const heelTop: Point = [2 - collar * 2, -heel - 66 * tall - collar * 24];
  const throat: Point = [l * 0.36, -heel - 78 * tall - collar * 24];
  const vamp: Point = [l * 0.62, -fore - 54 * tall];
  const toeRoof: Point = [l * 0.88, toe - 26 * tall - depth];
  const outline: Point[] = [
    [3, -heel + 3],
    [-3, -heel - 26],
    heelTop,
    [l * 0.07, rim - 8],
    [l * 0.16, rim],
    [l * 0.26, rim - 10],
    throat,
    [l * 0.48, -(heel * 0.4 + fore * 0.6) - 70 * tall - collar * 4],
    vamp,
    [l * 0.76, -fore - 38 * tall - depth * 0.7],
    toeRoof,
    [l * 0.965, toe - 16 - depth * 0.6],
    [l - 3, toe - 1],
    [l * 0.9, toe + spring * 0.3 + 3],
    [l * BALL_SHARE, -fore + 3],
    [l * 0.45, -(heel + fore) / 2 + 4],
    [l * 0.2, -heel + 4],
  ];
  const counterTop = (26 + firm * 5) * tall;
  const counter: Point[] = [
    [4, -heel + 2],
    [-2, -heel - 24],
    [1, -heel - counterTop],
    [l * reach * 0.45, -heel - counterTop * 0.82],
    [l * reach, -heel - 12],
    [l * reach * 1.02, -heel + 3],
  ];
  const parts: DrawnPart[] = [
    {
      id: 'upper',
      kind: 'upper',
      d: smoothClosed(outline),
      features: ['upperFirmness', 'width', 'toeBoxDepth', 'toeBoxMaterial', 'seamFree', 'water', 'mass'],
    },
    {
      id: 'counter',
      kind: 'counter',
      d: `${smooth(counter)}Z`,
      features: ['heelCounter', 'counterReach', 'softCounterEdge'],
    },
    {
      id: 'collar',
      kind: 'line',
      d: smooth([heelTop, [l * 0.07, rim - 8], [l * 0.16, rim], [l * 0.26, rim - 10], throat]),
      features: ['collarHeight', 'collarPadding', 'softCounterEdge', 'opening'],
    },
    {
      id: 'toe-box',
      kind: 'line',
      d: smooth([
        [l * 0.79, -fore - 36 * tall - depth * 0.7],
        [l * 0.81, -fore - 16],
        [l * 0.8, -fore - 2],
      ]),
      features: ['toeBoxShape', 'toeBoxDepth', 'toeRoom', 'toeProtection'],
    },
    // A slip-on has neither tongue nor eyelets.
    ...(values.closure === 'slip-on' ? [] : tongueAndEyestay(throat, vamp)),
    ...(values.closure === 'slip-on' ? [] : overlayParts(values, sole, throat, vamp)),
    ...closureParts(values, throat, vamp),
  ];
  if (values.toeProtection !== undefined && values.toeProtection !== 'none')
    parts.push({
      id: 'toe-cap',
      kind: 'support',
      d: `${smooth([[l * 0.9, toe + spring * 0.3 + 2], [l * 0.89, toe - 14], toeRoof, [l * 0.965, toe - 16 - depth * 0.6], [l - 3, toe - 1]])}Z`,
      features: ['toeProtection'],
    });
  if (values.toeDragZone === 'reinforced')
    parts.push({
      id: 'toe-drag',
      kind: 'counter',
      d: `${smooth([
        [l * 0.93, toe + spring * 0.3 + 2],
        [l * 0.935, toe - 13 - depth * 0.4],
        [l * 0.965, toe - 15 - depth * 0.5],
        [l - 3, toe - 1],
      ])}Z`,
      features: ['toeDragZone'],
    });
  if (values.sideGuard === 'guard')
    parts.push({
      id: 'side-guard',
      kind: 'counter',
      d: `${smooth([
        [l * 0.42, -(heel * 0.5 + fore * 0.5) + 1],
        [l * 0.46, -(heel * 0.5 + fore * 0.5) - 13],
        [l * 0.62, -fore - 17],
        [l * 0.8, -fore - 13],
        [l * 0.83, -fore * 0.9],
        [l * 0.62, -fore + 2],
      ])}Z`,
      features: ['sideGuard'],
    });
  return parts;
}

/** Straps that carry the pull of the laces down to the sole; how far they reach is a grade. */
function overlayParts(values: FeatureValues, { heel, fore }: Sole, throat: Point, vamp: Point): DrawnPart[] {
  const reach = numberOf(values, 'overlaysReachSole') - 1;
  if (reach < 0.3) return [];
  return [0.25, 0.55, 0.85].map((share, index) => {
    const x = throat[0] + (vamp[0] - throat[0]) * share - 14;
    const top = throat[1] + (vamp[1] - throat[1]) * share + 18;
    const ground = -(heel * (1 - share) + fore * share) * 1 + 2;
    const bottom = top + (ground - top) * Math.min(1, reach / 2 + 0.15);
    return {
      id: `overlay-${index}`,
      kind: 'guide',
      d: straight([
        [x, top],
        [x - 12, bottom],
      ]),
      features: ['overlaysReachSole', 'upperFirmness'],
    };
  });
}

const tongueAndEyestay = (throat: Point, vamp: Point): DrawnPart[] => [
  {
    id: 'tongue',
    kind: 'upper',
    d: `${smooth([
      [throat[0] - 16, throat[1] + 14],
      [throat[0] - 5, throat[1] - 7],
      [throat[0] + 7, throat[1] - 6],
      [throat[0] + 12, throat[1] + 5],
    ])}Z`,
    features: ['opening', 'collarPadding'],
  },
  {
    id: 'eyestay',
    kind: 'counter',
    d: `${smooth([
      [throat[0] - 2, throat[1] + 3],
      [(throat[0] + vamp[0]) / 2 - 4, (throat[1] + vamp[1]) / 2 + 2],
      [vamp[0] - 2, vamp[1] + 4],
      [vamp[0] + 4, vamp[1] + 14],
      [vamp[0] - 14, vamp[1] + 15],
      [(throat[0] + vamp[0]) / 2 - 20, (throat[1] + vamp[1]) / 2 + 19],
      [throat[0] - 17, throat[1] + 18],
    ])}Z`,
    features: ['opening', 'overlaysReachSole', 'upperFirmness'],
  },
];
