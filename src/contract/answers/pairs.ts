import { z } from 'zod';
import { keySchema } from '@/core/tables/key-schema';
import { CLOCKS, type Clock } from '@/core/wear/clocks';
import { FACTORS, type FactorId } from '@/core/wear/learned/life-factors';
import { momentSchema } from './shared';

const quantiles = z.object({ q10: z.number(), q50: z.number(), q90: z.number() });

/** How long pairs of a model last at a reference wearer: what is stated, and what this clinic's own pairs make of it. */
export const modelLifeSchema = z.object({
  clock: keySchema<Clock>(CLOCKS),
  /** Nobody states a life for its use: ours, and wide. */
  isOurs: z.boolean(),
  stated: quantiles,
  learned: z
    .object({
      life: quantiles,
      pairs: z.number(),
      wornOut: z.number(),
      relatives: z.number(),
      relativesWornOut: z.number(),
      /** What moves it, as this clinic's pairs have it: factor of a unit, and its middle 80 %. */
      effects: z.array(
        z.object({ factor: keySchema<FactorId>(FACTORS), by: z.number(), from: z.number(), to: z.number() }),
      ),
      at: momentSchema,
    })
    .nullable(),
});
export type ModelLifeRecord = z.infer<typeof modelLifeSchema>;
