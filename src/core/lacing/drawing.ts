import type { Side } from '../findings/finding-kinds';
import {
  type Eyelet,
  eyeletAt,
  eyeletKey,
  LACE_SIDES,
  type LaceSide,
  pairsOf,
  type ShoeEyelets,
} from './eyelets';
import { moveOf } from './path';
import type { SideLacing, Tension } from './plan';

/** A piece of lace on the page, from an eyelet to the next. */
export interface DrawnLace {
  from: Eyelet;
  to: Eyelet;
  /** Which of the two ends of its lace it belongs to; the piece between both is of neither. */
  end: 0 | 1 | null;
  d: string;
  tension: Tension;
}

/** A shoe's throat as its wearer looks down on it: toes at the top of the page. */
export interface LacingDrawing {
  width: number;
  height: number;
  /** In the order in which they are painted: what lies under comes first. */
  laces: DrawnLace[];
  eyelets: { at: Eyelet; x: number; y: number; label: string; isUsed: boolean }[];
  /** Where both ends are wound round each other. */
  twists: { x: number; y: number }[];
  /** Ends of the lace going through the loops of a lock, and the bow. */
  extras: { d: string; kind: 'through-loop' | 'bow' }[];
  /** Outline of tongue and edges. */
  tongue: string;
  /** Where the words for both sides stand. */
  sides: { inner: { x: number; y: number }; outer: { x: number; y: number } };
}

/** How broad a lace is drawn, by how firmly it is drawn tight; broad enough to tell apart on paper. */
export const LACE_WIDTH: Readonly<Record<Tension, number>> = { easy: 2.2, snug: 3.2, firm: 4.4 };

const MARGIN = { across: 34, above: 22, below: 40 };
const LOOP = 7;

/**
 * Draws the lacing of one shoe, mm on the throat laid flat.
 *
 * @param side which foot: the big toe is on the right of a left foot as one looks down on it
 */
export function lacingDrawing(side: Side, eyelets: ShoeEyelets, lacing: SideLacing): LacingDrawing {
  const mirror = side === 'left' ? -1 : 1;
  const rows = pairsOf(eyelets);
  const topRow = rows - 1;
  const all: Eyelet[] = LACE_SIDES.flatMap((of) =>
    Array.from({ length: rows + (eyelets.extra ? 1 : 0) }, (_, row) => ({ side: of, row })),
  );
  const half = Math.max(...all.map((eyelet) => Math.abs(eyeletAt(eyelet, eyelets).across)));
  const width = 2 * (half + MARGIN.across);
  const place = (eyelet: Eyelet) => {
    const { across, up } = eyeletAt(eyelet, eyelets);
    return { x: width / 2 + mirror * across, y: MARGIN.above + up };
  };
  const highest = Math.max(...all.map((eyelet) => place(eyelet).y));
  const used = new Set(lacing.laces.flatMap(({ nodes }) => nodes.map(eyeletKey)));

  const pieces = lacing.laces.flatMap(({ nodes, startsAfter }) =>
    nodes.slice(1).map((to, at): DrawnLace => {
      const from = nodes[at]!;
      const [a, b] = [place(from), place(to)];
      const isLoop = Math.max(from.row, to.row) > topRow;
      const outward = Math.sign(a.x - width / 2) * LOOP;
      return {
        from,
        to,
        end: at === startsAfter ? null : at < startsAfter ? 0 : 1,
        // The loop of a lock stands off the edge, so that the other end can go through it.
        d: isLoop
          ? `M${round(a.x)} ${round(a.y)}C${round(a.x - outward)} ${round(a.y)} ${round(b.x - outward * 2)} ${round(b.y)} ${round(b.x)} ${round(b.y)}`
          : `M${round(a.x)} ${round(a.y)}L${round(b.x)} ${round(b.y)}`,
        tension: lacing.tension[Math.min(from.row, to.row, lacing.tension.length - 1)] ?? 'snug',
      };
    }),
  );
  const twists = lacing.laces.flatMap(({ twistAfter }) => {
    if (twistAfter === null) return [];
    const [a, b] = [place({ side: 'inner', row: twistAfter }), place({ side: 'inner', row: twistAfter + 1 })];
    return [{ x: round(width / 2), y: round((a.y + b.y) / 2) }];
  });
  const knot = { x: width / 2, y: highest + 15 };
  const extras = lacing.laces.flatMap(({ isLocked, topRow: top }): LacingDrawing['extras'] => {
    if (top !== topRow) return [];
    const ends = LACE_SIDES.map((of) => place({ side: of, row: isLocked ? top + 1 : top }));
    return [
      ...ends.map((end, at) => {
        const other = ends[1 - at]!;
        // Locked, each end goes over to the other loop and back to the middle.
        const inLoop = { x: other.x - Math.sign(other.x - width / 2) * LOOP * 1.3, y: other.y - LOOP };
        return {
          kind: isLocked ? ('through-loop' as const) : ('bow' as const),
          d: isLocked
            ? `M${round(end.x)} ${round(end.y)}L${round(inLoop.x)} ${round(inLoop.y)}L${round(knot.x)} ${round(knot.y)}`
            : `M${round(end.x)} ${round(end.y)}L${round(knot.x)} ${round(knot.y)}`,
        };
      }),
      ...[-1, 1].map((way) => ({
        kind: 'bow' as const,
        d: `M${round(knot.x)} ${round(knot.y)}c${way * 6} -9 ${way * 20} -7 ${way * 15} 2c${way * -3} 5 ${way * -10} 2 ${way * -15} -2`,
      })),
    ];
  });
  // Seen on the page: the big toe of a left foot is on its right.
  const edge = (of: LaceSide) => {
    const [low, high] = [place({ side: of, row: 0 }), place({ side: of, row: topRow })];
    const off = Math.sign(low.x - width / 2) * -9;
    return { low: { x: low.x + off, y: low.y - 8 }, high: { x: high.x + off, y: highest + 6 } };
  };
  const left = edge(side === 'left' ? 'outer' : 'inner');
  const right = edge(side === 'left' ? 'inner' : 'outer');
  return {
    width: round(width),
    height: round(highest + MARGIN.below),
    laces: painted(pieces),
    eyelets: all.map((at) => ({
      at,
      ...rounded(place(at)),
      label: at.row > topRow ? '+' : String(at.row + 1),
      isUsed: used.has(eyeletKey(at)),
    })),
    twists,
    extras,
    tongue: `M${round(left.high.x)} ${round(left.high.y)}L${round(left.low.x)} ${round(left.low.y)}Q${round(width / 2)} ${round(left.low.y - 14)} ${round(right.low.x)} ${round(right.low.y)}L${round(right.high.x)} ${round(right.high.y)}`,
    sides: {
      inner: { x: round(width / 2 + mirror * -(half + 4)), y: 10 },
      outer: { x: round(width / 2 + mirror * (half + 4)), y: 10 },
    },
  };
}

const round = (value: number): number => Math.round(value * 10) / 10;
const rounded = ({ x, y }: { x: number; y: number }) => ({ x: round(x), y: round(y) });

/** Bars and edges first, then crossings from the toes up, one end over the other in turn. */
const painted = (pieces: readonly DrawnLace[]): DrawnLace[] => {
  const order = (piece: DrawnLace) => {
    const row = Math.min(piece.from.row, piece.to.row);
    return moveOf(piece.from, piece.to) === 'cross' ? 100 + row * 2 + (piece.end === row % 2 ? 0 : 1) : row;
  };
  return pieces.toSorted((a, b) => order(a) - order(b));
};
