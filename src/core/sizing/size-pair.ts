import { SIDES, type Side } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import { NOT_EXAMINED, numberAt } from '../findings/picture';
import { memoize } from '../memo/memoize';
import type { Specification } from '../prescribe/engine/specification';
import { fail, ok, type Result } from '../result/result';
import type { FeatureValues } from '../shoe/features';
import { heelBallRatio, SHOWN_FROM_MM, SPLIT_FROM_MM } from './foot-difference';
import { type LastShape, lastShapeOf, type SizedFoot } from './last-shape';
import { type ExplainedWish, type FittingConditions, sizeWish } from './size-wish';
import { asFitted, type ModelSizing, type StartSize, sizeInWords, startSize } from './start-size';
import { WIDTH_LETTERS, type WidthLetter } from './widths';

/** A model as it is sized: its sizes, and of its features the shape of its last. */
export interface SizedModel {
  sizing: ModelSizing;
  features: FeatureValues;
}

/** How the two feet are served by one model. */
export type PairKind = 'same' | 'filler' | 'split' | 'one-foot';

export interface SizedPair {
  kind: PairKind;
  left: StartSize | null;
  right: StartSize | null;
  /** `EU 42 D`, or both where they differ. */
  label: string;
  /** What is done about a difference, in words; empty where nothing is. */
  advice: string;
  /** Filler for the shorter foot, mm of room that is too much. */
  fillerMm: number;
}

/** A heel–ball length outside what feet have is measured again and decides nothing. */
const plausibleBall = (lengthMm: number, heelBallMm: number | null): number | null =>
  heelBallMm === null || heelBallRatio(lengthMm, heelBallMm).remeasure ? null : heelBallMm;

/** A foot with what sock, insert and time of day add to it. */
const wornBy = ({ foot, wish: { adds } }: { foot: SizedFoot; wish: ExplainedWish }): SizedFoot => ({
  ...foot,
  lengthMm: foot.lengthMm + adds.lengthMm,
  heelBallMm: foot.heelBallMm == null ? null : foot.heelBallMm + adds.lengthMm,
});

const wider = (a: WidthLetter, b: WidthLetter): WidthLetter =>
  WIDTH_LETTERS.indexOf(a) >= WIDTH_LETTERS.indexOf(b) ? a : b;

/**
 * One model on both feet. The longer foot decides, both shoes in its size and the wider of both widths; a foot a whole
 * size shorter asks for a split pair, one that is left with more room than wished for a filler.
 *
 * @returns `not-measured` when no foot was measured, `no-size` when a foot finds none
 */
export function sizePair(
  model: SizedModel,
  picture: ClinicalPicture,
  specification: Specification,
  conditions: FittingConditions = {},
): Result<SizedPair> {
  return pairSizer(picture, specification, conditions)(model);
}

/** A measured foot with what is asked of its shoe. */
interface FootToSize {
  side: Side;
  wish: ExplainedWish;
  foot: SizedFoot;
  /** As it is worn: with what sock, insert and swelling add. */
  lengthMm: number;
}

/** Sizes models one after the other on the same feet; see {@link sizePair}. */
export function pairSizer(
  picture: ClinicalPicture,
  specification: Specification,
  conditions: FittingConditions = {},
): (model: SizedModel) => Result<SizedPair> {
  const feet = SIDES.flatMap((side): FootToSize[] => {
    const lengthMm = numberAt(picture, 'footLength', side);
    if (lengthMm === null) return [];
    const wish = sizeWish(picture, specification, side, conditions);
    const toeShape = picture[side].toeShape;
    const foot: SizedFoot = {
      lengthMm,
      ballWidthMm: numberAt(picture, 'ballWidth', side),
      heelBallMm: plausibleBall(lengthMm, numberAt(picture, 'heelBallLength', side)),
      toeShape: toeShape === NOT_EXAMINED ? null : toeShape,
      toeHeightMm: numberAt(picture, 'toeHeight', side),
    };
    return [{ side, wish, foot, lengthMm: lengthMm + wish.adds.lengthMm }];
  });
  // Of thousands of models many have the same sizes on the same last: they are worked out once.
  const known = new Map<string, Map<string, Result<SizedPair>>>();
  return ({ sizing, features }) => {
    const shape = lastShapeOf(features);
    const onSizes = sizesKey(sizing);
    const onLast = `${shape.foldPercent} ${shape.toeBox} ${shape.depthGrade}`;
    const alike = known.get(onSizes) ?? new Map<string, Result<SizedPair>>();
    const before = alike.get(onLast);
    if (before) return before;
    const sized = sizeOn(feet, sizing, shape);
    known.set(onSizes, alike.set(onLast, sized));
    return sized;
  };
}

/** Everything of a model’s sizes that decides which is taken; its last decides with it. */
const sizesKey = memoize((sizing: ModelSizing): string =>
  [
    sizing.system,
    sizing.group,
    sizing.allowanceMm,
    sizing.lengthOffsetMm,
    sizing.widthOffsetMm,
    sizing.foldOffsetMm,
    sizing.ballWidthMm,
    sizing.sizes.join(),
    sizing.widths.join(),
  ].join('|'),
);

function sizeOn(feet: readonly FootToSize[], model: ModelSizing, shape: LastShape): Result<SizedPair> {
  const sized = feet.map((entry) => ({ ...entry, start: startSize(model, entry.foot, entry.wish, shape) }));
  if (sized.length === 0) return fail('not-measured', 'No foot length is measured.');
  const fitted: (FootToSize & { start: StartSize })[] = [];
  for (const { start, ...entry } of sized) {
    if (!start.ok)
      return fail(
        start.problem.code,
        sized.length > 1 ? `${start.problem.message} (${entry.side})` : start.problem.message,
      );
    fitted.push({ ...entry, start: start.value });
  }
  const by = (side: Side) => fitted.find((entry) => entry.side === side);
  if (fitted.length === 1) {
    const only = fitted[0]!;
    const other = only.side === 'left' ? 'right' : 'left';
    return ok({
      kind: 'one-foot',
      left: by('left')?.start ?? null,
      right: by('right')?.start ?? null,
      label: only.start.label,
      advice: `The ${other} foot is not measured: measure both, fit the longer.`,
      fillerMm: 0,
    });
  }
  const [shorter, longer] = fitted.toSorted((a, b) => a.lengthMm - b.lengthMm);
  if (!shorter || !longer) return fail('not-measured', 'No foot length is measured.');
  const width = wider(shorter.start.width, longer.start.width);
  const apartMm = longer.lengthMm - shorter.lengthMm;
  if (apartMm >= SPLIT_FROM_MM && longer.start.size !== shorter.start.size) {
    const pair = { left: by('left')!.start, right: by('right')!.start };
    return ok({
      kind: 'split',
      ...pair,
      label: `left ${pair.left.label}, right ${pair.right.label}`,
      advice: `Feet ${fixed(apartMm)} mm apart: split pair, or ${sizeInWords(model, longer.start.size, width)} with a filler in the ${shorter.side}.`,
      fillerMm: 0,
    });
  }
  const both = (entry: typeof longer): StartSize => ({
    ...asFitted(model, longer.start.size, width, wornBy(entry), entry.start.why.slice(1), shape),
    byToes: entry.start.byToes,
    byArch: entry.start.byArch,
  });
  const [ofLonger, ofShorter] = [both(longer), both(shorter)];
  const spare = ofShorter.roomMm - shorter.wish.room.most;
  // Under half a size apart is how most feet are: nothing is said. Under a whole one the heel is held, not the toe filled.
  const isShown = apartMm >= SHOWN_FROM_MM && spare > 0.5;
  const isFilled = apartMm >= SPLIT_FROM_MM && spare > 0.5;
  const pair =
    longer.side === 'left' ? { left: ofLonger, right: ofShorter } : { left: ofShorter, right: ofLonger };
  return ok({
    kind: isFilled ? 'filler' : 'same',
    left: pair.left,
    right: pair.right,
    label: pair.left.label,
    advice: isShown
      ? `Feet ${fixed(apartMm)} mm apart, fitted to the ${longer.side}: ${fixed(ofShorter.roomMm)} mm in front of the ${shorter.side}, ${isFilled ? 'with a filler there' : 'hold its heel by lacing or a snug insert'}.`
      : '',
    fillerMm: isFilled ? spare : 0,
  });
}

const fixed = (value: number): string => String(Math.round(value * 10) / 10);
