import { insideLength, type ModelSizing } from '../start-size';
import type { WidthLetter } from '../widths';
import type { WidthFit } from './width-evidence';

/** One pair on one patient's feet, with what tells of the true inside. Both feet of a pair are one fitting. */
export interface FitObservation {
  version: string;
  feet: readonly FittedFoot[];
}
export interface FittedFoot {
  size: number;
  width: WidthLetter;
  footLengthMm: number;
  ballWidthMm: number | null;
  roomMm: number | null;
  widthFit: WidthFit | null;
  /** Where the shoe folded on this foot, and the ball it was held against; absent where nobody looked. */
  heelBallMm?: number | null;
  bend?: 'under-ball' | 'too-far-back' | null;
}

/** A version as the learning sees it: its family and what its label says. */
export interface LabelledVersion {
  id: string;
  maker: string;
  name: string;
  sizing: ModelSizing;
  /** Where it is said to fold, per cent from the heel. */
  foldPercent?: number | null;
}

const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;

/** What one fitting says of the length offset: foot plus room is the true inside. Null when no room was read. */
export function lengthOffsetSeen(sizing: ModelSizing, feet: readonly FittedFoot[]): number | null {
  const seen = feet.flatMap((foot) =>
    foot.roomMm === null ? [] : [foot.footLengthMm + foot.roomMm - insideLength(label(sizing), foot.size)],
  );
  return seen.length === 0 ? null : mean(seen);
}

/** A sizing as the label has it, without what was learned. */
export const label = (sizing: ModelSizing): ModelSizing => ({
  ...sizing,
  lengthOffsetMm: 0,
  widthOffsetMm: 0,
});
