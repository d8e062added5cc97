import type { SizingGroup } from '../findings/findings';
import { fail, ok, type Result } from '../result/result';
import { lastOfSize, nearestHalf, SIZE_SYSTEM_LABEL, type SizeSystem, sizeOfLast } from './systems';
import { lettersByGrade, MM_WIDTH_PER_LETTER, WIDTH_LETTERS, type WidthLetter } from './widths';

/** What the size of a model means, as far as its maker says. */
export interface ModelSizing {
  system: SizeSystem;
  group: SizingGroup;
  /** What the maker adds to the foot. */
  allowanceMm: number;
  /** True inside minus what the label says, as the clinic's fittings teach; 0 where nobody has fitted. */
  lengthOffsetMm: number;
  widthOffsetMm: number;
  /** Half sizes on offer, ascending. */
  sizes: readonly number[];
  widths: readonly WidthLetter[];
  /** Inside width at the ball for an inside length of 270 mm in the narrowest letter offered. */
  ballWidthMm: number;
}

export interface SizeWish {
  /** Room beyond the longest toe, mm: least, wished, most. */
  room: { least: number; wished: number; most: number };
  /** What sock, insert and swelling add to the foot as it was measured, mm. */
  adds?: { lengthMm: number; widthMm: number };
  /** Wished width grade, 1 narrow … 4 extra wide. */
  widthGrade?: number;
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

/** Inside width at the ball; it follows the size on the label, whatever the length turns out to be. */
export function insideWidth(model: ModelSizing, size: number, width: WidthLetter): number {
  const steps = lettersApart(model.widths[0]!, width);
  const labelled = lastOfSize(model.system, size, model.allowanceMm);
  return (
    model.ballWidthMm +
    (labelled - 270) * MM_WIDTH_PER_MM_LENGTH +
    steps * MM_WIDTH_PER_LETTER +
    model.widthOffsetMm
  );
}

const lettersApart = (from: WidthLetter, to: WidthLetter): number =>
  WIDTH_LETTERS.indexOf(to) - WIDTH_LETTERS.indexOf(from);

/** A size as it stands on the box. */
export const sizeInWords = (model: ModelSizing, size: number, width?: string): string =>
  `${SIZE_SYSTEM_LABEL[model.system]} ${size}${width ? ` ${width}` : ''}`;

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
  { room: wish, adds = { lengthMm: 0, widthMm: 0 }, widthGrade = 2 }: SizeWish,
): Result<StartSize> {
  const lengthMm = foot.lengthMm + adds.lengthMm;
  const ballWidthMm = foot.ballWidthMm === null ? null : foot.ballWidthMm + adds.widthMm;
  const wanted = lengthMm + wish.wished;
  const room = (size: number) => insideLength(model, size) - lengthMm;
  const enough = model.sizes.filter(
    (size) => room(size) >= wish.least - 0.05 && room(size) <= wish.most + MOST_OVER_MM,
  );
  if (enough.length === 0) {
    const ideal = nearestHalf(sizeOfLast(model.system, wanted - model.lengthOffsetMm, model.allowanceMm));
    return fail('no-size', `Not made in the size needed (about ${sizeInWords(model, ideal)}).`);
  }
  const size = enough.reduce((best, next) =>
    Math.abs(room(next) - wish.wished) < Math.abs(room(best) - wish.wished) ? next : best,
  );
  const why = [
    `foot ${fixed(lengthMm)} mm + ${fixed(room(size))} mm room`,
    `maker adds ${fixed(model.allowanceMm)} mm`,
  ];
  if (Math.abs(model.lengthOffsetMm) >= 0.05)
    why.push(
      `runs ${fixed(Math.abs(model.lengthOffsetMm))} mm ${model.lengthOffsetMm > 0 ? 'long' : 'short'}`,
    );
  const width = widthFor(model, size, ballWidthMm, widthGrade);
  why.push(
    ballWidthMm === null ? 'ball width not measured: standard width' : `ball ${fixed(ballWidthMm)} mm`,
  );
  return ok(asFitted(model, size, width, lengthMm, why));
}

/** A given size and width of a model on a foot of this length. */
export function asFitted(
  model: ModelSizing,
  size: number,
  width: WidthLetter,
  lengthMm: number,
  why: string[] = [],
): StartSize {
  return {
    size,
    label: sizeInWords(model, size, width),
    width,
    insideLengthMm: insideLength(model, size),
    roomMm: insideLength(model, size) - lengthMm,
    insideWidthMm: insideWidth(model, size, width),
    why,
  };
}

/** A size may leave this much more than the most wished before it counts as not made: sizes step by 3 to 7 mm. */
const MOST_OVER_MM = 6;

/** A standing foot is wider than the inside of a shoe that fits it: uppers give about this much. Common practice. */
export const UPPER_GIVES_MM = 4;

/** The width of a model that holds a ball: the narrowest that does, else its widest; the wished grade when unmeasured. */
export function widthFor(
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

const fixed = (value: number): string => String(Math.round(value * 10) / 10);
