import { z } from 'zod';
import { keySchema } from '../tables/key-schema';
import {
  MODIFICATIONS,
  MODIFIED_PLACES,
  type ModificationKind,
  type ModifiedPlace,
  PLACES_OF,
} from './modification';

export const modificationCheckSchema = z.strictObject({
  measured: z.number().min(0, 'A measure is not negative.').max(120, 'At most 120.').optional(),
  isMade: z.boolean(),
});

export const modificationSchema = z
  .strictObject({
    kind: keySchema<ModificationKind>(MODIFICATIONS),
    side: z.enum(['left', 'right', 'both']),
    amount: z.number().min(0, 'An amount is not negative.').optional(),
    place: keySchema<ModifiedPlace>(MODIFIED_PLACES).optional(),
    note: z.string().max(120, 'Use at most 120 letters.').optional(),
    check: modificationCheckSchema.optional(),
  })
  .refine(({ kind, amount }) => amount === undefined || amount <= MODIFICATIONS[kind].most, {
    path: ['amount'],
    error: ({ input }) => `At most ${mostOf(input)}.`,
  })
  .refine(({ kind, place }) => place === undefined || (PLACES_OF[kind]?.includes(place) ?? false), {
    path: ['place'],
    message: 'This change is not made there.',
  });

const ofKind = z.object({ kind: keySchema<ModificationKind>(MODIFICATIONS) });
const mostOf = (input: unknown): string => {
  const read = ofKind.safeParse(input);
  return read.success ? String(MODIFICATIONS[read.data.kind].most) : 'what the shoe can take';
};
