import { ALIGNMENT_TOLERANCE, type ShankTolerance } from './shank-alignment';
import { FIRST_WEEKS } from './training';

/** What a clinic sets about prosthetic feet: how much may remain, the largest wedge, how long a new prosthesis keeps its shoe. */
export interface ProsthesisSettings extends ShankTolerance {
  firstWeeks: number;
}

export const USUAL_PROSTHESIS: ProsthesisSettings = { ...ALIGNMENT_TOLERANCE, firstWeeks: FIRST_WEEKS };

/**
 * Least and most that a clinic may set. The limit on a shoe’s drop stays as the rule has it: a looser tolerance lets no shoe through that
 * the rule holds back. Ours.
 */
export const PROSTHESIS_BOUNDS = {
  fineMm: [1, 5],
  cautionMm: [2, 8],
  cautionDeg: [1, 4],
  stopMm: [5, 12],
  largestWedgeMm: [0, 15],
  firstWeeks: [4, 26],
} as const satisfies Record<keyof ProsthesisSettings, readonly [number, number]>;
