import type { SizingGroup } from '../findings/findings';
import { fail, ok, type Result } from '../result/result';
import { USUAL_ROOM } from '../shoe/room';
import {
  heelToFold,
  insideForBall,
  type LastShape,
  lengthLost,
  type SizedFoot,
  UNKNOWN_SHAPE,
} from './last-shape';
import {
  lastOfSize,
  MM_PER_BARLEYCORN,
  nearestHalf,
  SIZE_SYSTEM_LABEL,
  type SizeSystem,
  sizeOfLast,
} from './systems';
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
  /** Fold minus where it is said to be, mm from the heel, as the clinic's fittings teach; absent where nobody has fitted. */
  foldOffsetMm?: number;
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
  /** In front of the longest toe, as far as these toes can use it. */
  roomMm: number;
  insideWidthMm: number;
  /** The size that the toes alone ask for, and the ball alone; null where the ball or the fold is not known. */
  byToes: number;
  byArch: number | null;
  /** Fold minus ball, mm from the heel: more than nothing, the shoe folds in front of the ball. */
  foldMisfitMm: number | null;
  /** The first says how much room there is in this size. */
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
 * Where to begin at the shelf: by toes and by arch. Of the offered sizes that leave at least the least room, the one nearest
 * to what both ask for: room before the longest toe, and the fold under the ball; and the narrowest width that the ball fits
 * into. Where the ball or the fold is not known the toes decide alone. Fit decides, not the number.
 *
 * @param foot lengths in mm; what was not measured is null
 * @param shape of the model's last, as far as it is known
 * @returns the size with its reasons, or `no-size` when the model has none that is long enough
 */
export function startSize(
  model: ModelSizing,
  foot: SizedFoot,
  { room: wish, adds = { lengthMm: 0, widthMm: 0 }, widthGrade = 2 }: SizeWish,
  shape: LastShape = UNKNOWN_SHAPE,
): Result<StartSize> {
  const worn: SizedFoot = {
    ...foot,
    lengthMm: foot.lengthMm + adds.lengthMm,
    ballWidthMm: foot.ballWidthMm === null ? null : foot.ballWidthMm + adds.widthMm,
    heelBallMm: foot.heelBallMm == null ? null : foot.heelBallMm + adds.lengthMm,
  };
  const lost = lengthLost(shape, worn);
  const wanted = worn.lengthMm + wish.wished + lost;
  const rooms = model.sizes.map((size) => insideLength(model, size) - lost - worn.lengthMm);
  const within = (most: number) =>
    model.sizes.filter((_, at) => rooms[at]! >= wish.least - 0.05 && rooms[at]! <= most + 0.05);
  // The ball may ask for half a size more than the toes would take, no more: a foot slides in what is longer.
  const wished = within(wish.most + HALF_SIZE_MM);
  const enough = wished.length > 0 ? wished : within(wish.most + MOST_OVER_MM);
  if (enough.length === 0) {
    const ideal = nearestHalf(sizeOfLast(model.system, wanted - model.lengthOffsetMm, model.allowanceMm));
    return fail('no-size', `Not made in the size needed (about ${sizeInWords(model, ideal)}).`);
  }
  const nearest = (insideMm: number, sizes: readonly number[]) =>
    sizes.reduce((best, next) =>
      Math.abs(insideLength(model, next) - insideMm) < Math.abs(insideLength(model, best) - insideMm)
        ? next
        : best,
    );
  const forBall = insideOfBall(model, worn, shape, wish.wished);
  const size = nearest(forBall === null ? wanted : (wanted + forBall) / 2, enough);
  const width = widthFor(model, size, worn.ballWidthMm, widthGrade);
  const why = [`maker adds ${fixed(model.allowanceMm)} mm`];
  if (Math.abs(model.lengthOffsetMm) >= 0.05)
    why.push(
      `runs ${fixed(Math.abs(model.lengthOffsetMm))} mm ${model.lengthOffsetMm > 0 ? 'long' : 'short'}`,
    );
  if (lost > 0) why.push(`the front of the box takes ${fixed(lost)} mm from these toes`);
  why.push(
    worn.ballWidthMm === null
      ? 'ball width not measured: standard width'
      : `ball ${fixed(worn.ballWidthMm)} mm`,
  );
  const byToes = nearest(wanted, enough);
  const byArch = forBall === null ? null : nearest(forBall, model.sizes);
  if (byArch !== null && byArch !== byToes) why.unshift(`toes ${byToes}, arch ${byArch}`);
  return ok({ ...asFitted(model, size, width, worn, why, shape), byToes, byArch });
}

const roomIn = (model: ModelSizing, size: number, foot: SizedFoot, shape: LastShape): number =>
  insideLength(model, size) - lengthLost(shape, foot) - foot.lengthMm;

/** The inside length that the ball asks for, with as much more as the toes are to have beyond the usual; null where unknown. */
function insideOfBall(
  model: ModelSizing,
  { heelBallMm }: SizedFoot,
  { foldPercent }: LastShape,
  wished: number,
): number | null {
  if (heelBallMm == null || foldPercent === null) return null;
  return insideForBall(heelBallMm, foldPercent, model.foldOffsetMm ?? 0) + wished - USUAL_ROOM.wished;
}

/** A given size and width of a model on a foot; it names no other size than its own. */
export function asFitted(
  model: ModelSizing,
  size: number,
  width: WidthLetter,
  foot: SizedFoot,
  why: string[] = [],
  shape: LastShape = UNKNOWN_SHAPE,
): StartSize {
  const insideLengthMm = insideLength(model, size);
  const roomMm = roomIn(model, size, foot, shape);
  return {
    size,
    label: sizeInWords(model, size, width),
    width,
    insideLengthMm,
    roomMm,
    insideWidthMm: insideWidth(model, size, width),
    byToes: size,
    byArch: null,
    foldMisfitMm:
      foot.heelBallMm == null || shape.foldPercent === null
        ? null
        : heelToFold(insideLengthMm, shape.foldPercent, model.foldOffsetMm ?? 0) - foot.heelBallMm,
    why: [`foot ${fixed(foot.lengthMm)} mm + ${fixed(roomMm)} mm room`, ...why],
  };
}

/** Half a size, mm: the ball may move the size by so much beyond the most that is wished. Ours. */
const HALF_SIZE_MM = MM_PER_BARLEYCORN / 2;

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
