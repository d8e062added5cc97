import type { ShoeModel } from '../catalogue/model';
import type { ShelfPlace } from '../catalogue/shelf';
import type { Side } from '../findings/finding-kinds';
import type { Result } from '../result/result';
import type { SizedPair } from '../sizing/size-pair';
import { omitUndefined } from '../tables/omit-undefined';
import type { FeltFit, TriedSizes, TryOn } from './try-on';

/** Size and width of one shoe as it was tried; null where either is not known. Widths are alike unless the right's differs. */
export function placeOn(tryOn: TriedSizes, side: Side): ShelfPlace | null {
  const size = side === 'left' ? tryOn.sizeLeft : (tryOn.sizeRight ?? tryOn.sizeLeft);
  const width = side === 'left' ? tryOn.width : (tryOn.widthRight ?? tryOn.width);
  return size === undefined || width === undefined ? null : { size, width };
}

/** Where a pair begins: in the sizes that were worked out for both feet. */
export function beginTryOn(model: ShoeModel, sized: Result<SizedPair>): TryOn {
  if (!sized.ok) return { model: model.id };
  const { left, right } = sized.value;
  const [one, other] = [left ?? right, right ?? left];
  return omitUndefined<TryOn>({
    model: model.id,
    sizeLeft: one?.size,
    sizeRight: other?.size,
    width: one?.width,
    widthRight: other?.width === one?.width ? undefined : other?.width,
  });
}

/** The sizes of a try-on, what was felt in them, and what is said of the pair whatever its size. */
function partsOf(tryOn: TryOn): {
  sizes: TriedSizes;
  felt: FeltFit;
  pair: Pick<TryOn, 'model' | 'insert' | 'words'>;
} {
  const { sizeLeft, sizeRight, width, widthRight, model, insert, words, earlier: _, ...felt } = tryOn;
  return {
    sizes: omitUndefined<TriedSizes>({ sizeLeft, sizeRight, width, widthRight }),
    felt: omitUndefined<FeltFit>(felt),
    pair: omitUndefined<Pick<TryOn, 'model' | 'insert' | 'words'>>({ model, insert, words }),
  };
}

const SIZES = ['sizeLeft', 'sizeRight', 'width', 'widthRight'] as const;
const sameSizes = (a: TriedSizes, b: TriedSizes): boolean => SIZES.every((key) => a[key] === b[key]);

/** Fits in other sizes that are kept of one pair. */
export const MOST_EARLIER = 6;

/**
 * The same pair in another size: another fit. What was felt in the size it leaves is put by, not lost, and comes back with
 * that size; what it taught of the model still counts until the new size is read.
 */
export function changeSizes(tryOn: TryOn, sizes: TriedSizes): TryOn {
  const { sizes: left, felt, pair } = partsOf(tryOn);
  const next = omitUndefined<TriedSizes>({ ...left, ...sizes });
  if (sameSizes(next, left)) return tryOn;
  const before = Object.keys(felt).length === 0 ? [] : [{ ...left, ...felt }];
  const kept = (tryOn.earlier ?? []).filter((fit) => !sameSizes(fit, next));
  const back = (tryOn.earlier ?? []).find((fit) => sameSizes(fit, next));
  const earlier = [...kept, ...before].slice(-MOST_EARLIER);
  return omitUndefined<TryOn>({
    ...pair,
    ...next,
    ...back,
    earlier: earlier.length > 0 ? earlier : undefined,
  });
}
