import type { Side } from '../findings/finding-kinds';

/** Where on a sole: −1 inner to 1 outer edge of the widest place, and 0 at the heel's back to 1 at the toe. */
export interface SolePlace {
  across: number;
  along: number;
}

/** A spot or a line on an outsole that nine zones are too coarse for: a hole, a drag mark, a groove worn through. */
export interface SoleMark {
  id: string;
  side: Side;
  at: SolePlace;
  /** The other end of a line; absent of a spot. */
  to?: SolePlace | undefined;
}

const within = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));

/** A place on the sole, however far off it was dragged. */
export const onSole = ({ across, along }: SolePlace): SolePlace => ({
  across: within(across, -1, 1),
  along: within(along, 0, 1),
});

/** A drag mark at the toe: the foot may not clear the ground, or somebody kicks off with it. */
const TOE_FROM = 0.9;

/** What the marks ask for, beside being compared over time. */
export function readMarks(marks: readonly SoleMark[]): string[] {
  const toes = [
    ...new Set(
      marks
        .filter(({ at, to }) => at.along >= TOE_FROM || (to?.along ?? 0) >= TOE_FROM)
        .map(({ side }) => side),
    ),
  ];
  return toes.length > 0
    ? [
        `Marked at the tip of the ${toes.join(' and ')} sole: does the foot clear the ground? Look at it from the side.`,
      ]
    : [];
}
