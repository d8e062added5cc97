import { SIDES, type Side } from '../findings/finding-kinds';
import type { ShoeEyelets } from '../lacing/eyelets';
import { type LaceKind, RETIE_MINUTES } from '../lacing/laces';
import type { SideLacing } from '../lacing/plan';
import { isSameLacing, type LacingStep, lacingSteps } from '../lacing/steps';
import { isSheetText } from '../texts/english';
import type { Say } from '../texts/speech';

/** One shoe's lacing, or both where they are the same. */
export interface LacedShoe {
  label: string;
  side: Side;
  lacing: SideLacing;
  because: string[];
  steps: string[];
}

export type SheetLacing =
  | { kind: 'laced'; eyelets: ShoeEyelets; shoes: LacedShoe[]; after: string[] }
  | { kind: 'closure'; steps: string[] };

function stepInWords(step: LacingStep, say: Say): string {
  switch (step.do) {
    case 'cross':
      return say('lacing.step.cross', { ...step, count: step.to - step.from + 1, row: step.to });
    case 'draw':
      return say(`lacing.draw.${step.tension}`, step);
    case 'lay-in-slanting':
      return say('lacing.step.lay-in-slanting', { ...step, long: say(`side.${step.long}`) });
    case 'climb':
    case 'lift':
    case 'close-the-rest':
    case 'bar':
      return say(`lacing.step.${step.do}`, { ...step, side: say(`side.${step.side}`) });
    default:
      return say(`lacing.step.${step.do}`, step);
  }
}

const shoeInWords = (side: Side, label: string, lacing: SideLacing, say: Say): LacedShoe => ({
  label,
  side,
  lacing,
  because: [
    ...lacing.needs
      .filter(({ kind }) => lacing.nextBest.every(({ need }) => need !== kind))
      .map(({ kind }) => say(`lacing.because.${kind}`)),
    ...[...new Set(lacing.nextBest.map(({ instead }) => instead))].map((instead) =>
      say(`lacing.instead.${instead}`),
    ),
  ],
  steps: lacingSteps(lacing).map((step) => stepInWords(step, say)),
});

/** How both shoes are laced, or how a pair without laces is closed. */
export function lacingWords(
  given: {
    closure: string;
    eyelets: ShoeEyelets;
    sides: Readonly<Record<Side, SideLacing>>;
    laces: LaceKind;
    usualMinutes: number;
    /** Cannot tie a lace. */
    handsAreWeak: boolean;
  },
  say: Say,
): SheetLacing {
  const { closure, eyelets, sides, laces, usualMinutes, handsAreWeak } = given;
  if (closure !== 'laces' && closure !== 'laces-extra-eyelet') {
    const key = `closure.${closure}`;
    return { kind: 'closure', steps: [say(isSheetText(key) ? key : 'closure.slip-on')] };
  }
  const same = isSameLacing(sides.left, sides.right);
  const retie = RETIE_MINUTES[laces];
  const lengths = [...new Set(sides.left.lengthsCm)];
  return {
    kind: 'laced',
    eyelets,
    shoes: same
      ? [shoeInWords('right', say('shoe.both'), sides.right, say)]
      : SIDES.map((side) => shoeInWords(side, say(`shoe.${side}`), sides[side], say)),
    after: [
      ...(handsAreWeak ? [say('lacing.elastic')] : [say('lacing.heel-first')]),
      ...(retie !== null && !handsAreWeak && usualMinutes > retie
        ? [say('lacing.retie', { minutes: retie })]
        : []),
      say('lacing.length', { count: lengths.length, lengths: lengths.join(', ') }),
    ],
  };
}
