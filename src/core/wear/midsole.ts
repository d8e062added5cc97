import { SIDES, type Side } from '../findings/finding-kinds';
import { keysOf } from '../tables/keys-of';
import { type Along, LENGTHS } from './wear-map';

export const EDGES = { inner: 'inner side', outer: 'outer side' } as const;
export type Edge = keyof typeof EDGES;

/** Where a midsole is creased or buckled, seen from the side; an edge that is absent was not looked at. */
export type Creases = { readonly [E in Edge]?: Along[] | undefined };
export type Midsole = { readonly [S in Side]?: Creases | undefined };

/** Creases with one more place, or without it. */
export function withCrease(midsole: Midsole, side: Side, edge: Edge, along: Along): Midsole {
  const before = midsole[side]?.[edge] ?? [];
  const after = before.includes(along) ? before.filter((place) => place !== along) : [...before, along];
  return { ...midsole, [side]: { ...midsole[side], [edge]: after } };
}

const seenOn = (midsole: Midsole, edge: Edge): Side[] =>
  SIDES.filter((side) => (midsole[side]?.[edge]?.length ?? 0) > 0);

/** What the creases that were drawn ask for: when they came, and why one shoe has them and the other not. */
export function readCreases(midsole: Midsole): string[] {
  const inner = seenOn(midsole, 'inner');
  const outer = seenOn(midsole, 'outer');
  const looked = SIDES.filter((side) => midsole[side] !== undefined);
  const where = (sides: readonly Side[], edge: Edge) =>
    sides
      .map((side) => `${side} ${(midsole[side]?.[edge] ?? []).map((along) => LENGTHS[along]).join(', ')}`)
      .join('; ');
  return [
    ...(inner.length > 0
      ? [
          `Creased on the inner side (${where(inner, 'inner')}): ask when. Within weeks the pair was wrong, after much use it is old.`,
        ]
      : []),
    ...(outer.length > 0
      ? [`Creased on the outer side (${where(outer, 'outer')}): age, and no sign of rolling in.`]
      : []),
    ...keysOf(EDGES).flatMap((edge) => {
      const sides = edge === 'inner' ? inner : outer;
      return looked.length === 2 && sides.length === 1
        ? [
            `Only the ${sides[0]} is creased on its ${EDGES[edge]}: look at leg length, the side of the road and one-leg stance.`,
          ]
        : [];
    }),
  ];
}
