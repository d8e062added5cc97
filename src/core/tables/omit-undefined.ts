/** A value whose keys may also be there and undefined: what spreads and form fields give. */
type MaybeUndefined<T> = { [K in keyof T]: T[K] | undefined };

/**
 * A copy without what is undefined: in records of this project an absent key means “nobody said”.
 *
 * @example omitUndefined({ size: 9, width: undefined }) // { size: 9 }
 */
export const omitUndefined = <T extends object>(value: MaybeUndefined<T>): T =>
  Object.fromEntries(Object.entries(value).filter(([, entry]) => entry !== undefined)) as T;
