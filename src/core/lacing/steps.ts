import { LACE_SIDES, type LaceSide } from './eyelets';
import { type LacePath, moveOf } from './path';
import type { SideLacing, Tension } from './plan';

/** One thing to do, in the order of doing; rows are counted from 1 at the toes. */
export type LacingStep =
  | { do: 'lay-in'; row: number }
  | { do: 'lay-in-slanting'; long: LaceSide; row: number; to: number }
  | { do: 'climb'; side: LaceSide; from: number; to: number }
  | { do: 'cross'; from: number; to: number }
  | { do: 'straight-up'; row: number; to: number }
  | { do: 'lift'; side: LaceSide; to: number }
  | { do: 'close-the-rest'; side: LaceSide; from: number; to: number }
  | { do: 'bar'; side: LaceSide; row: number }
  | { do: 'to-the-top'; row: number }
  | { do: 'twist'; row: number }
  | { do: 'lock'; row: number }
  | { do: 'draw'; tension: Tension; from: number; to: number };

/** Steps of a lacing whose ends rise together, crossing or straight up. */
function risingSteps({ nodes, startsAfter, topRow }: LacePath): LacingStep[] {
  const down = nodes.slice(0, startsAfter + 1).toReversed();
  const ends = { [down[0]!.side]: down, [nodes[startsAfter + 1]!.side]: nodes.slice(startsAfter + 1) };
  const [inner, outer] = LACE_SIDES.map((side) => ends[side]!);
  const steps: LacingStep[] = [];
  const [a, b] = [inner![0]!, outer![0]!];
  if (a.row === b.row) steps.push({ do: 'lay-in', row: a.row + 1 });
  else {
    const long: LaceSide = a.row < b.row ? 'inner' : 'outer';
    const from = Math.min(a.row, b.row);
    const to = Math.max(a.row, b.row);
    steps.push(
      { do: 'lay-in-slanting', long, row: from + 1, to: to + 1 },
      { do: 'climb', side: long, from: from + 2, to: to + 1 },
    );
  }
  const rise = inner!.filter(({ row }) => row > Math.max(a.row, b.row) && row <= topRow);
  for (const to of rise) {
    const before = inner![inner!.indexOf(to) - 1]!;
    const last = steps.at(-1);
    if (moveOf(before, to) === 'up') steps.push({ do: 'straight-up', row: before.row + 1, to: to.row + 1 });
    else if (last?.do === 'cross') last.to = to.row + 1;
    else steps.push({ do: 'cross', from: to.row + 1, to: to.row + 1 });
  }
  return steps;
}

function liftSteps({ nodes, lift, topRow }: LacePath): LacingStep[] {
  const first = Math.min(...nodes.map(({ row }) => row));
  return [
    { do: 'lift', side: lift, to: topRow + 1 },
    { do: 'close-the-rest', side: lift, from: first + 1, to: topRow + 1 },
  ];
}

function ladderSteps({ nodes, startsAfter, topRow }: LacePath): LacingStep[] {
  const bars = nodes.flatMap((from, at): { row: number; side: LaceSide }[] => {
    const to = nodes[at + 1];
    if (!to || at === startsAfter || moveOf(from, to) !== 'across') return [];
    // Worked up from the start: before it the lace was written down from its free end.
    return [{ row: from.row, side: at < startsAfter ? to.side : from.side }];
  });
  return [
    { do: 'lay-in', row: nodes[startsAfter]!.row + 1 },
    ...bars
      .toSorted((a, b) => a.row - b.row)
      .map(({ row, side }): LacingStep => ({ do: 'bar', side, row: row + 1 })),
    { do: 'to-the-top', row: topRow + 1 },
  ];
}

const STEPS = { cross: risingSteps, 'toe-lift': liftSteps, parallel: ladderSteps } as const;

/** What is to be done with one lace, from the toes up, without drawing it tight. */
export const laceSteps = (lace: LacePath): LacingStep[] => [
  ...STEPS[lace.base](lace),
  ...(lace.twistAfter === null ? [] : [{ do: 'twist' as const, row: lace.twistAfter + 1 }]),
  ...(lace.isLocked ? [{ do: 'lock' as const, row: lace.topRow + 1 }] : []),
];

/** How firmly it is drawn, from the toes up, in stretches of the same. */
export function tensionSteps(tension: readonly Tension[]): LacingStep[] {
  const steps: Extract<LacingStep, { do: 'draw' }>[] = [];
  tension.forEach((each, row) => {
    const last = steps.at(-1);
    if (last?.tension === each) last.to = row + 2;
    else steps.push({ do: 'draw', tension: each, from: row + 1, to: row + 2 });
  });
  return steps;
}

/** All steps of one shoe. */
export const lacingSteps = ({ laces, tension }: Pick<SideLacing, 'laces' | 'tension'>): LacingStep[] => [
  ...laces.flatMap(laceSteps),
  ...tensionSteps(tension),
];

/** Both shoes are laced alike. */
export const isSameLacing = (a: SideLacing, b: SideLacing): boolean =>
  JSON.stringify([a.laces, a.tension]) === JSON.stringify([b.laces, b.tension]);
