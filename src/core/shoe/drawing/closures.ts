import type { FeatureValues } from '../features';
import { straight } from './curve';
import type { DrawnPart, Point } from './part';

/** What closes a shoe, from the side, along the line from its throat to its vamp. */
export function closureParts(values: FeatureValues, throat: Point, vamp: Point): DrawnPart[] {
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
  if (closure === 'buckle') {
    const [x, y] = along(0.3);
    const strap = straight([
      [x + 4, y - 6],
      [x + 13, y + 2],
      [x - 16, y + 44],
      [x - 27, y + 37],
    ]);
    const frame = straight([
      [x - 4, y + 9],
      [x + 6, y + 16],
      [x - 1, y + 26],
      [x - 11, y + 19],
    ]);
    return [part('strap', `${strap}Z`), part('buckle', `${frame}Z`)];
  }
  if (closure === 'zip')
    return [
      part('zip', straight([along(0.1), [along(0.35)[0] - 10, along(0.35)[1] + 36]])),
      part('pull', circle(along(0.12), 3)),
    ];
  const eyelets =
    closure === 'laces-extra-eyelet' ? [-0.06, 0.12, 0.3, 0.48, 0.66, 0.84] : [0.08, 0.27, 0.46, 0.65, 0.84];
  return eyelets.map((share, index) => part(`lace-${index}`, across(share, 14)));
}
