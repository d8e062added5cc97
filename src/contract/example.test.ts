import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { api } from './contract';
import { exampleOf } from './example';
import type { Operation } from './operation';

const operations: [string, Operation][] = Object.entries(api);

describe('examples of the contract', () => {
  it.each(operations.filter(([, { answer }]) => answer))(
    '%s: the example is an answer of its own schema',
    (_, operation) => {
      const example = exampleOf(operation.answer!);
      const read = operation.answer!.safeParse(example);
      expect(read.success ? [] : read.error.issues).toEqual([]);
    },
  );

  it('reads a schema part by part: ends of ranges, first options, stated examples', () => {
    const schema = z.object({
      on: z.string().meta({ example: '2031-06-15' }),
      share: z.number().min(0.2).max(0.6),
      side: z.enum(['left', 'right']),
      maybe: z.string().optional(),
      none: z.number().nullable(),
      pair: z.tuple([z.literal('a'), z.boolean()]),
    });
    expect(exampleOf(schema)).toEqual({
      on: '2031-06-15',
      share: 0.6,
      side: 'left',
      none: 1,
      pair: ['a', true],
    });
  });

  it('a schema that holds itself comes to an end', () => {
    type Tree = { all: Tree[] } | { leaf: string };
    const tree: z.ZodType<Tree> = z.lazy(() =>
      z.union([z.object({ all: z.array(tree) }), z.object({ leaf: z.string() })]),
    );
    expect(exampleOf(tree)).toEqual({ leaf: 'text' });
  });
});
