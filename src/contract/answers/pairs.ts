import { z } from 'zod';
import { SIDES } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import type { RepeatAnswer } from '@/core/repeat/repeat';
import { keySchema } from '@/core/tables/key-schema';
import type { AcheSite } from '@/core/time-line/causes';
import { EVENT_LABELS, type EventKind } from '@/core/time-line/events';
import { CLOCKS, type Clock } from '@/core/wear/clocks';
import { FACTORS, type FactorId } from '@/core/wear/learned/life-factors';
import { SESSION_KINDS, type Session, type SessionKind } from '@/core/wear/rotation/week';
import { activitySchema, daySchema, featureValuesSchema, idSchema, momentSchema } from './shared';

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

/** Whether another of the same model, version and size may be bought unseen. */
export const repeatSchema: z.ZodType<RepeatAnswer> = z.object({
  may: z.enum(['yes', 'two-sizes', 'come-in', 'never']),
  chance: z.number().nullable(),
  because: z.array(z.string()),
});

/** Pairs, what changed and what began to ache, and what changed before each ache. */
const lineEvent = { kind: keySchema<EventKind>(EVENT_LABELS), on: daySchema, words: z.string() };
export const timeLineSchema = z.object({
  from: daySchema,
  to: daySchema,
  pairs: z.array(
    z.object({ id: idSchema, title: z.string(), startedOn: daySchema, endedOn: daySchema.nullable() }),
  ),
  events: z.array(z.object(lineEvent)),
  /** How the patient fared, oldest first. */
  course: z.object({
    comfort: z.array(z.object({ on: daySchema, pairId: idSchema, value: z.number() })),
    pain: z.array(z.object({ on: daySchema, pairId: idSchema, value: z.number() })),
    /** Figure-of-eight girths, the largest of a day. */
    swelling: z.array(z.object({ on: daySchema, side: z.enum(SIDES), mm: z.number() })),
    seen: z.array(z.object({ on: daySchema, words: z.string(), isAlarm: z.boolean() })),
    looked: z.array(z.object({ on: daySchema, words: z.string() })),
  }),
  aches: z.array(
    z.object({
      site: keySchema<AcheSite>(FINDINGS.pain.options),
      side: z.enum(SIDES),
      since: daySchema,
      reading: z.object({
        causes: z.array(
          z.object({ ...lineEvent, days: z.number(), weight: z.number(), because: z.string() }),
        ),
        ask: z.string().nullable(),
        /** Asked before anything else is thought of. */
        first: z.string().nullable(),
      }),
    }),
  ),
});
export type TimeLineRecord = z.infer<typeof timeLineSchema>;

export const sessionSchema: z.ZodType<Session> = z.strictObject({
  id: z.string().min(1).max(60),
  day: z.int().min(0).max(6),
  activity: activitySchema,
  kind: keySchema<SessionKind>(SESSION_KINDS),
  amount: z
    .number('An amount is a number.')
    .min(0, 'An amount is not negative.')
    .max(400, 'Over 400 at once: check it.'),
});

/** Outings of a week, and which of them somebody gave to which pair. */
export const weekSchema = z.strictObject({
  sessions: z.array(sessionSchema).max(14, 'Fourteen outings a week at most.'),
  settled: z.record(z.string().max(60), z.uuid()),
});

export const weekRecordSchema = z.object({
  /** Else it is proposed, from what was stated. */
  isSaved: z.boolean(),
  sessions: z.array(sessionSchema),
  settled: z.record(z.string(), idSchema),
  pairs: z.array(
    z.object({
      id: idSchema,
      title: z.string(),
      features: featureValuesSchema,
      clock: keySchema<Clock>(CLOCKS),
      used: z.number(),
      life: z.number(),
      startedOn: daySchema,
      window: z
        .object({ from: daySchema, middle: daySchema, to: daySchema, startNextOn: daySchema })
        .nullable(),
      isOverdue: z.boolean(),
    }),
  ),
});
export type WeekRecord = z.infer<typeof weekRecordSchema>;
