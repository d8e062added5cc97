import type { FeatureValues } from '../features';
import { BALL_SHARE } from './ball';
import { smooth, smoothClosed, straight } from './curve';
import type { DrawnPart, Point } from './part';
import { numberOf, type Sole } from './sole-measures';

/** Upper, counter, collar, toe box, tongue, lacing and cap, from the side. */
export function upperParts(values: FeatureValues, sole: Sole): DrawnPart[] {
  const { length: l, heel, fore, spring } = sole;
  const collar = numberOf(values, 'collarHeight') - 1;
  const depth = (numberOf(values, 'toeBoxDepth') - 2) * 6;
  const firm = numberOf(values, 'heelCounter');
  const reach = numberOf(values, 'counterReach') / 100;
  const toe = -fore * 0.62 - spring * 0.85;
  const rim = -heel - 52 - collar * 26;
  const heelTop: Point = [2 - collar * 2, -heel - 66 - collar * 24];
  const throat: Point = [l * 0.36, -heel - 78 - collar * 24];
  const vamp: Point = [l * 0.62, -fore - 54];
  const toeRoof: Point = [l * 0.88, toe - 26 - depth];
  const outline: Point[] = [
    [3, -heel + 3],
    [-3, -heel - 26],
    heelTop,
    [l * 0.07, rim - 8],
    [l * 0.16, rim],
    [l * 0.26, rim - 10],
    throat,
    [l * 0.48, -(heel * 0.4 + fore * 0.6) - 70 - collar * 4],
    vamp,
    [l * 0.76, -fore - 38 - depth * 0.7],
    toeRoof,
    [l * 0.965, toe - 16 - depth * 0.6],
    [l - 3, toe - 1],
    [l * 0.9, toe + spring * 0.3 + 3],
    [l * BALL_SHARE, -fore + 3],
    [l * 0.45, -(heel + fore) / 2 + 4],
    [l * 0.2, -heel + 4],
  ];
  const counterTop = 26 + firm * 5;
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
        [l * 0.79, -fore - 36 - depth * 0.7],
        [l * 0.81, -fore - 16],
        [l * 0.8, -fore - 2],
      ]),
      features: ['toeBoxShape', 'toeBoxDepth', 'toeRoom', 'toeProtection'],
    },
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
    ...overlayParts(values, sole, throat, vamp),
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

function closureParts(values: FeatureValues, throat: Point, vamp: Point): DrawnPart[] {
  const closure = String(values.closure ?? 'laces');
  const along = (share: number): Point => [
    throat[0] + (vamp[0] - throat[0]) * share,
    throat[1] + (vamp[1] - throat[1]) * share + 5 - Math.sin(share * Math.PI) * 1,
  ];
  const across = (share: number, drop: number): string => {
    const [x, y] = along(share);
    return straight([
      [x + 3, y - 3],
      [x - 9, y + drop],
    ]);
  };
  const features = ['closure', 'opening', 'overlaysReachSole'] as const;
  const part = (id: string, d: string): DrawnPart => ({ id, kind: 'closure', d, features });
  const circle = ([x, y]: Point, r: number) =>
    `M${x - r},${y}a${r},${r} 0 1,0 ${2 * r},0a${r},${r} 0 1,0 ${-2 * r},0Z`;
  if (closure === 'hook-and-loop')
    return [0.16, 0.5, 0.84].map((share, index) => {
      const [x, y] = along(share);
      return part(
        `strap-${index}`,
        `${straight([
          [x + 3, y - 5],
          [x + 11, y + 4],
          [x - 12, y + 34],
          [x - 22, y + 26],
        ])}Z`,
      );
    });
  if (closure === 'dial')
    return [
      part('dial', circle([along(0.3)[0], along(0.3)[1] + 5], 7)),
      ...[0.1, 0.5, 0.8].map((share, index) => part(`wire-${index}`, across(share, 14))),
    ];
  if (closure === 'slip-on')
    return [
      part(
        'gore',
        `${straight([along(0.25), [along(0.25)[0] - 14, along(0.25)[1] + 30], [along(0.6)[0] - 12, along(0.6)[1] + 26], along(0.6)])}Z`,
      ),
    ];
  if (closure === 'zip' || closure === 'buckle')
    return [
      part('zip', straight([along(0.1), [along(0.35)[0] - 10, along(0.35)[1] + 36]])),
      part('pull', circle(along(0.12), 3)),
    ];
  const eyelets =
    closure === 'laces-extra-eyelet' ? [-0.06, 0.12, 0.3, 0.48, 0.66, 0.84] : [0.08, 0.27, 0.46, 0.65, 0.84];
  return eyelets.map((share, index) => part(`lace-${index}`, across(share, 14)));
}
