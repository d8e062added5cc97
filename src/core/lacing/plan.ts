import { type LaceSide, pairsOf, type ShoeEyelets } from './eyelets';
import { laceLengthMm, soldLengthCm } from './length';
import type { LacingNeed, LacingNeedKind } from './needs';
import { type LaceDesign, type LacePath, lacePath, PLAIN } from './path';

export const TENSIONS = ['easy', 'snug', 'firm'] as const;
/** How firmly the lace is drawn between a row and the next. */
export type Tension = (typeof TENSIONS)[number];

/** What is done where the shoe, or another need, does not allow what a need asks for. */
export type Instead = 'twist' | 'firm-at-the-top' | 'easy-below';
export interface NextBest {
  need: LacingNeedKind;
  instead: Instead;
  because: 'no-extra-eyelet' | 'too-few-eyelets' | 'another-need';
}

export interface SideLacing {
  needs: LacingNeed[];
  /** One lace for each zone, from the toes up. */
  laces: LacePath[];
  /** Of the gap above each row but the last. */
  tension: Tension[];
  nextBest: NextBest[];
  /** Length to buy for each lace, cm. */
  lengthsCm: number[];
}

interface Wish {
  design: LaceDesign;
  nextBest: NextBest[];
}

const wants = (needs: readonly LacingNeed[], kind: LacingNeedKind): LacingNeed | undefined =>
  needs.find((need) => need.kind === kind);

/** What the base of the lacing is: a swollen foot before a sore nail, a sore nail before crossings. */
function baseOf(needs: readonly LacingNeed[]): Pick<LaceDesign, 'base' | 'lift'> {
  if (wants(needs, 'swells')) return { base: 'parallel', lift: 'inner' };
  if (wants(needs, 'big-toe-nail')) return { base: 'toe-lift', lift: 'inner' };
  if (wants(needs, 'other-nails')) return { base: 'toe-lift', lift: 'outer' };
  return { base: 'cross', lift: 'inner' };
}

/** Eyelets to leave out for a wide or sore forefoot, by side. */
function openFor(needs: readonly LacingNeed[]): Record<LaceSide, number> {
  const joint = wants(needs, 'big-toe-joint');
  const tight = wants(needs, 'forefoot-tight') ? 1 : 0;
  return { inner: Math.max(tight, joint ? (joint.isLarge ? 2 : 1) : 0), outer: tight };
}

/** One lacing for all that a foot asks, and what could not be had. */
function wishOf(needs: readonly LacingNeed[], eyelets: ShoeEyelets): Wish {
  const pairs = pairsOf(eyelets);
  const nextBest: NextBest[] = [];
  const base = baseOf(needs);
  const crosses = base.base === 'cross';
  const settle = (kind: LacingNeedKind, instead: Instead, because: NextBest['because']) => {
    if (wants(needs, kind)) nextBest.push({ need: kind, instead, because });
  };
  if (base.base === 'parallel') {
    settle('big-toe-nail', 'easy-below', 'another-need');
    settle('other-nails', 'easy-below', 'another-need');
  }
  if (!crosses)
    for (const kind of ['big-toe-joint', 'forefoot-tight'] as const)
      settle(kind, 'easy-below', 'another-need');
  const open = crosses ? openFor(needs) : PLAIN.open;
  // Two pairs at least must hold the foot.
  const isTooFew = eyelets.zones[0]! - Math.max(open.inner, open.outer) < 2;
  if (isTooFew) {
    settle('big-toe-joint', 'easy-below', 'too-few-eyelets');
    settle('forefoot-tight', 'easy-below', 'too-few-eyelets');
  }
  const instep = crosses ? wants(needs, 'instep-pressed') : undefined;
  if (base.base === 'toe-lift') settle('instep-pressed', 'easy-below', 'another-need');
  const pressed =
    instep === undefined
      ? null
      : Math.min(pairs - 2, Math.max(0, Math.round((instep.share ?? 0) * (pairs - 1) - 0.5)));
  const slips = wants(needs, 'heel-slips') !== undefined;
  const isLocked = slips && eyelets.extra;
  const topGap = pairs - 2;
  let twistAfter: number | null = null;
  if (slips && !eyelets.extra) {
    const canTwist = crosses && topGap >= 0 && pressed !== topGap;
    if (canTwist) twistAfter = topGap;
    settle('heel-slips', canTwist ? 'twist' : 'firm-at-the-top', 'no-extra-eyelet');
  } else if (slips && crosses && (wants(needs, 'forefoot-tight') || wants(needs, 'big-toe-joint'))) {
    // Looser below, anchored above.
    const middle = Math.floor(pairs / 2) - 1;
    if (middle >= 1 && middle !== pressed) twistAfter = middle;
  }
  return {
    design: {
      ...base,
      open: isTooFew ? PLAIN.open : open,
      straightAfter: pressed === null ? [] : [pressed],
      twistAfter,
      isLocked,
    },
    nextBest,
  };
}

/** Firm at the ankle where the foot slides or the heel slips, easy where it is sore; never firm on skin that must be spared. */
function tensionsOf(
  needs: readonly LacingNeed[],
  pairs: number,
  design: LaceDesign,
  isGentle: boolean,
): Tension[] {
  const half = Math.ceil((pairs - 1) / 2);
  const easyBelow = (['big-toe-joint', 'forefoot-tight', 'big-toe-nail', 'other-nails'] as const).some(
    (kind) => wants(needs, kind),
  );
  const firmAbove = wants(needs, 'heel-slips') || wants(needs, 'slides-forward');
  return Array.from({ length: Math.max(0, pairs - 1) }, (_, row): Tension => {
    if (wants(needs, 'swells') || design.straightAfter.includes(row)) return 'easy';
    if (easyBelow && row < half) return 'easy';
    if (firmAbove && row >= pairs - 3 && !isGentle) return 'firm';
    return 'snug';
  });
}

/** The design of a whole throat as it falls on one of its zones. */
const ofZone = (
  design: LaceDesign,
  zone: number,
  first: number,
  pairs: number,
  isLast: boolean,
): LaceDesign => ({
  ...design,
  open: zone === 0 ? design.open : PLAIN.open,
  // A sore toe is lifted by the lace at the toes alone.
  base: design.base === 'toe-lift' && zone > 0 ? 'cross' : design.base,
  twistAfter:
    design.twistAfter !== null && design.twistAfter >= first && design.twistAfter < first + pairs - 1
      ? design.twistAfter
      : null,
  isLocked: design.isLocked && isLast,
});

/**
 * The lacing of one shoe for what its foot asks: a path for each lace, how firmly it is drawn between its rows, what could not
 * be had and what is done instead, and the length to buy.
 *
 * @param eyelets at least two pairs in each zone
 * @example planLacing([{ kind: 'heel-slips' }], { zones: [6], extra: true }, false).laces[0]!.isLocked // true
 */
export function planLacing(
  needs: readonly LacingNeed[],
  eyelets: ShoeEyelets,
  isGentle: boolean,
): SideLacing {
  const { design, nextBest } = wishOf(needs, eyelets);
  let first = 0;
  const laces = eyelets.zones.map((pairs, zone) => {
    const isLast = zone === eyelets.zones.length - 1;
    const extraRow = eyelets.extra && isLast ? first + pairs : null;
    const path = lacePath(first, pairs, extraRow, ofZone(design, zone, first, pairs, isLast));
    first += pairs;
    // Everything that a path may lack was settled above; a zone of one pair is tied straight across.
    if (!path.ok) throw new RangeError(path.problem.message);
    return path.value;
  });
  return {
    needs: [...needs],
    laces,
    tension: tensionsOf(needs, pairsOf(eyelets), design, isGentle),
    nextBest,
    lengthsCm: laces.map((lace) => soldLengthCm(laceLengthMm(lace, eyelets))),
  };
}
