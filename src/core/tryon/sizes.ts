import type { ShoeModel } from '../match/model';
import type { ShelfPlace } from '../match/shelf';
import type { Side } from '../picture/finding-kinds';
import type { Result } from '../result';
import type { SizedPair } from '../sizing/size-pair';
import type { TriedSizes, TryOn } from './try-on';

/** Size and width of one shoe as it was tried; null where either is not known. Widths are alike unless the right's differs. */
export function placeOn(tryOn: TriedSizes, side: Side): ShelfPlace | null {
  const size = side === 'left' ? tryOn.sizeLeft : (tryOn.sizeRight ?? tryOn.sizeLeft);
  const width = side === 'left' ? tryOn.width : (tryOn.widthRight ?? tryOn.width);
  return size === undefined || width === undefined ? null : { size, width };
}

/** A copy without what is undefined: an absent key is “not said”. */
export const said = <T extends object>(value: T): T =>
  Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as T;

/** Where a pair begins: in the sizes that were worked out for both feet. */
export function begunIn(model: ShoeModel, sized: Result<SizedPair>): TryOn {
  if (!sized.ok) return { model: model.id };
  const { left, right } = sized.value;
  const [one, other] = [left ?? right, right ?? left];
  return said({
    model: model.id,
    sizeLeft: one?.size,
    sizeRight: other?.size,
    width: one?.width,
    widthRight: other?.width === one?.width ? undefined : other?.width,
  }) as TryOn;
}

const SIZES = ['sizeLeft', 'sizeRight', 'width', 'widthRight'] as const;
const FELT = [
  'left',
  'right',
  'points',
  'tasks',
  'seen',
  'comfort',
  'comfortAgain',
  'zones',
  'feels',
  'verdict',
  'because',
] as const;
const pick = <K extends keyof TryOn>(tryOn: Partial<TryOn>, keys: readonly K[]): Pick<Partial<TryOn>, K> =>
  said(Object.fromEntries(keys.map((key) => [key, tryOn[key]]))) as Pick<Partial<TryOn>, K>;
const without = (tryOn: TryOn, keys: readonly (keyof TryOn)[]): TryOn =>
  Object.fromEntries(
    Object.entries(tryOn).filter(([key]) => !keys.includes(key as keyof TryOn)),
  ) as unknown as TryOn;
const sameSizes = (a: TriedSizes, b: TriedSizes): boolean => SIZES.every((key) => a[key] === b[key]);

/** Fits in other sizes that are kept of one pair. */
export const MOST_EARLIER = 6;

/**
 * The same pair in another size: another fit. What was felt in the size it leaves is put by, not lost, and comes back with
 * that size; what it taught of the model still counts until the new size is read.
 */
export function inAnotherSize(tryOn: TryOn, sizes: TriedSizes): TryOn {
  const next = { ...pick(tryOn, SIZES), ...sizes };
  if (sameSizes(said(next), pick(tryOn, SIZES))) return tryOn;
  const felt = pick(tryOn, FELT);
  const before = Object.keys(felt).length === 0 ? [] : [{ ...pick(tryOn, SIZES), ...felt }];
  const kept = (tryOn.earlier ?? []).filter((fit) => !sameSizes(fit, said(next)));
  const back = (tryOn.earlier ?? []).find((fit) => sameSizes(fit, said(next)));
  const earlier = [...kept, ...before].slice(-MOST_EARLIER);
  return said({
    ...without(tryOn, [...SIZES, ...FELT, 'earlier']),
    ...said(next),
    ...back,
    earlier: earlier.length > 0 ? earlier : undefined,
  }) as TryOn;
}
