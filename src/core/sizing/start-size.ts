import { fail, ok, type Result } from '../result';
import { lastOfSize, nearestHalf, SIZE_SYSTEM_LABEL, type SizeSystem, sizeOfLast } from './systems';
import {
  gradeOfLetter,
  lettersByGrade,
  MM_WIDTH_PER_LETTER,
  type SizingGroup,
  type WidthLetter,
} from './widths';

/** What the size of a model means, as far as its maker says. */
export interface ModelSizing {
  system: SizeSystem;
  group: SizingGroup;
  /** What the maker adds to the foot. */
  allowanceMm: number;
  /** True inside length minus what the label says, where it is known; 0 where nobody has measured. */
  lengthOffsetMm: number;
  /** Half sizes on offer, ascending. */
  sizes: readonly number[];
  widths: readonly WidthLetter[];
  /** Inside width at the ball for an inside length of 270 mm in the narrowest letter offered. */
  ballWidthMm: number;
}

export interface SizeWish {
  /** Room beyond the longest toe, mm: least, wished, most. */
  room: { least: number; wished: number; most: number };
}

export interface StartSize {
  size: number;
  label: string;
  width: WidthLetter;
  insideLengthMm: number;
  roomMm: number;
  insideWidthMm: number;
  why: string[];
}

/** Inside width grows about 2.1 mm for each size (8.47 mm) of length. From memory, check (75 %). */
const MM_WIDTH_PER_MM_LENGTH = 2.1 / 8.467;

export const insideLength = (model: ModelSizing, size: number): number =>
  lastOfSize(model.system, size, model.allowanceMm) + model.lengthOffsetMm;

export function insideWidth(model: ModelSizing, size: number, width: WidthLetter): number {
  const steps = lettersApart(model.widths[0]!, width);
  return (
    model.ballWidthMm +
    (insideLength(model, size) - 270) * MM_WIDTH_PER_MM_LENGTH +
    steps * MM_WIDTH_PER_LETTER
  );
}

const ORDER: readonly WidthLetter[] = ['2A', 'A', 'B', 'C', 'D', 'E', '2E', '3E', '4E', '6E'];
const lettersApart = (from: WidthLetter, to: WidthLetter): number => ORDER.indexOf(to) - ORDER.indexOf(from);

/**
 * Where to begin at the shelf: the offered size whose inside length leaves the wished room in front of this
 * foot, never less than the least, and the narrowest width that the foot's ball fits into. Fit decides, not the number.
 *
 * @param foot length in mm; ball width in mm or null when it was not measured
 * @returns the size with its reasons, or `no-size` when the model has none that is long enough
 */
export function startSize(
  model: ModelSizing,
  foot: { lengthMm: number; ballWidthMm: number | null },
  wish: SizeWish,
  wishedWidthGrade = 2,
): Result<StartSize> {
  const wanted = foot.lengthMm + wish.room.wished;
  const room = (size: number) => insideLength(model, size) - foot.lengthMm;
  const enough = model.sizes.filter(
    (size) => room(size) >= wish.room.least - 0.05 && room(size) <= wish.room.most + 6,
  );
  if (enough.length === 0) {
    const ideal = nearestHalf(sizeOfLast(model.system, wanted - model.lengthOffsetMm, model.allowanceMm));
    return fail(
      'no-size',
      `Not made in the size needed (about ${SIZE_SYSTEM_LABEL[model.system]} ${ideal}).`,
    );
  }
  const size = enough.reduce((best, next) =>
    Math.abs(room(next) - wish.room.wished) < Math.abs(room(best) - wish.room.wished) ? next : best,
  );
  const why = [
    `foot ${fixed(foot.lengthMm)} mm + ${fixed(room(size))} mm room`,
    `maker adds ${fixed(model.allowanceMm)} mm`,
  ];
  if (model.lengthOffsetMm !== 0)
    why.push(
      `runs ${fixed(Math.abs(model.lengthOffsetMm))} mm ${model.lengthOffsetMm > 0 ? 'long' : 'short'}`,
    );
  const width = widthFor(model, size, foot.ballWidthMm, wishedWidthGrade);
  why.push(
    foot.ballWidthMm === null
      ? 'ball width not measured: standard width'
      : `ball ${fixed(foot.ballWidthMm)} mm`,
  );
  return ok({
    size,
    label: `${SIZE_SYSTEM_LABEL[model.system]} ${size} ${width}`,
    width,
    insideLengthMm: insideLength(model, size),
    roomMm: room(size),
    insideWidthMm: insideWidth(model, size, width),
    why,
  });
}

/** A standing foot is wider than the inside of a shoe that fits it: uppers give about this much. Common practice. */
const UPPER_GIVES_MM = 4;

function widthFor(
  model: ModelSizing,
  size: number,
  ballWidthMm: number | null,
  wishedGrade: number,
): WidthLetter {
  const byGrade = lettersByGrade(model.group);
  const wished = byGrade[Math.min(byGrade.length, Math.max(1, Math.round(wishedGrade))) - 1]!;
  const closest = model.widths.reduce((best, next) =>
    Math.abs(lettersApart(next, wished)) < Math.abs(lettersApart(best, wished)) ? next : best,
  );
  if (ballWidthMm === null) return closest;
  const holding = model.widths.find(
    (letter) => insideWidth(model, size, letter) + UPPER_GIVES_MM >= ballWidthMm,
  );
  return holding ?? model.widths[model.widths.length - 1]!;
}

/** Widest grade (1 … 4) a model offers: what its width feature says when it is not stated. */
export const widestGrade = (model: ModelSizing): number =>
  Math.max(...model.widths.map((letter) => gradeOfLetter(model.group, letter)));

const fixed = (value: number): string => String(Math.round(value * 10) / 10);
