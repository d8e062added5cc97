import { z } from 'zod';
import { isoDay } from '@/core/calendar/iso-day';
import { byId } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

/** Seconds of 2000 and of 2100: between them lies every outing. */
const seconds = z.number().min(946_684_800).max(4_102_444_800);

const outingSchema = z
  .strictObject({
    pair: z.uuid(),
    /** File and track it came from. */
    source: z.string().min(1).max(300),
    /** The day it was, in the time of who did it. */
    on: isoDay,
    from: seconds,
    to: seconds,
    km: z.number().min(0).max(1000),
    ascentM: z.number().min(0).max(20_000).nullable(),
    cadence: z.number().min(0).max(200).nullable(),
    surface: z.enum(['road', 'trail']),
  })
  .refine(({ from, to }) => to >= from, { path: ['to'], message: 'It ends before it begins.' });
export type KeptOuting = z.infer<typeof outingSchema>;

/** Outings that are kept at a time at most. */
export const MOST_OUTINGS = 2000;

export const keepOutingsSchema = z.strictObject({
  outings: z.array(outingSchema).min(1, 'Nothing was chosen.').max(MOST_OUTINGS),
});

export const keptOutingsSchema = z.object({
  kept: z.int(),
  /** Sources that were kept before: the same run, whichever device saw it. */
  doubled: z.array(z.string()),
  refused: z.array(z.object({ source: z.string(), why: z.string() })),
});
export type KeptOutings = z.infer<typeof keptOutingsSchema>;

/** Outings from devices. */
export const tracks = {
  keepOutings: operation(ROUTES.keepOutings, {
    id: 'keepOutings',
    answer: keptOutingsSchema,
    tag: 'records',
    summary: 'Keep outings that devices recorded, each in its pair; the same run is kept once',
    params: byId,
    body: keepOutingsSchema,
    bodyLimit: 2 * 1024 * 1024,
  }),
};
