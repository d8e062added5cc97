/**
 * The names in a table, in its order, under their own type. Tables of this project hold exactly the keys of their type.
 *
 * @example keysOf({ left: 1, right: 2 }) // ['left', 'right']
 */
export const keysOf = <K extends string>(table: Readonly<Record<K, unknown>>): K[] =>
  Object.keys(table) as K[];

/** Whether a text names an entry of a table. */
export const isKeyOf = <K extends string>(table: Readonly<Record<K, unknown>>, name: string): name is K =>
  Object.hasOwn(table, name);

/** A table of the same keys with other values. */
export const mapTable = <K extends string, V, W>(
  table: Readonly<Record<K, V>>,
  to: (value: V, key: K) => W,
): Record<K, W> => Object.fromEntries(keysOf(table).map((key) => [key, to(table[key], key)])) as Record<K, W>;
