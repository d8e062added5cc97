import { z } from 'zod';
import { keysOf } from './keys-of';

/** One of the names in a table. */
export const keySchema = <K extends string>(table: Readonly<Record<K, unknown>>) => {
  const [first, ...rest] = keysOf(table);
  if (first === undefined) throw new Error('A table without entries names nothing.');
  return z.enum([first, ...rest]);
};
