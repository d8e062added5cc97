import { z } from 'zod';
import { localMoment } from '@/core/calendar/local-moment';
import type { LimbCourse } from '@/core/prosthesis/limb-course';
import {
  limbRecordSchema,
  sockChartSchema,
  sockEntrySchema,
  TABLE_DECISIONS,
  type TableDecision,
  tableCheckSchema,
} from '@/core/prosthesis/limb-record';
import type { ProstheticFoot } from '@/core/prosthesis/on-this-foot';
import type { SockDay } from '@/core/prosthesis/sock-advice';
import { keySchema } from '@/core/tables/key-schema';
import { daySchema, idSchema } from './answers/shared';
import { byId, INT4_MAX } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

const plyAt = z.object({ hour: z.number(), mean: z.number(), low: z.number(), high: z.number() });
const socks = z.array(z.number());

const sockDaySchema: z.ZodType<SockDay> = z.object({
  step: z.union([
    z.object({ kind: z.literal('stop'), because: z.enum(['pain', 'warning']) }),
    z.object({
      kind: z.enum(['add', 'take-off']),
      by: z.number(),
      to: z.number(),
      socks: socks.nullable(),
    }),
    z.object({ kind: z.literal('none-left') }),
    z.object({ kind: z.literal('stay') }),
    z.object({ kind: z.literal('no-look') }),
  ]),
  worn: z.number().nullable(),
  curve: z.array(plyAt),
  range: z.object({ from: z.number(), to: z.number() }).nullable(),
  carry: z
    .object({
      carry: socks,
      reached: socks,
      missing: socks,
      sentence: z.string(),
      lacks: z.array(z.string()),
    })
    .nullable(),
});

const limbCourseSchema: z.ZodType<LimbCourse> = z.object({
  days: z.array(z.object({ on: daySchema, ply: z.number() })),
  slope: z.object({ perMonth: z.number(), within: z.number() }).nullable(),
  change: z.object({ from: daySchema, before: z.number(), since: z.number() }).nullable(),
  asks: z.array(z.string()),
});

const footSchema: z.ZodType<ProstheticFoot> = z.object({
  side: z.enum(['left', 'right']),
  setRiseMm: z.number().nullable(),
  leverMm: z.number().nullable(),
  heelAtMm: z.number().nullable(),
  innerMm: z.number().nullable(),
  ankleToMm: z.number().nullable(),
});

const tableCheckRecordSchema = z.object({
  id: idSchema,
  model: idSchema,
  title: z.string(),
  on: daySchema,
  by: z.string(),
  decision: keySchema<TableDecision>(TABLE_DECISIONS),
  riseMm: z.number(),
  wedgeMm: z.number(),
  leanDeg: z.number().optional(),
  leanError: z.number().optional(),
  leanBeforeDeg: z.number().optional(),
  note: z.string(),
  /** Versions of the same model that nobody has checked on this foot. */
  unchecked: z.array(z.object({ id: idSchema, title: z.string() })),
});
export type TableCheckRecord = z.infer<typeof tableCheckRecordSchema>;

export const limbPageSchema = z.object({
  record: limbRecordSchema,
  /** 0: nothing was written yet. */
  revision: z.int(),
  /** The foot as the latest visit found it; null where none has a prosthesis. */
  foot: footSchema.nullable(),
  /** Why a new pair waits; null where none has to. */
  hold: z.string().nullable(),
  charts: z.array(sockChartSchema),
  /** Of the last months, oldest first. */
  entries: z.array(sockEntrySchema.extend({ fromHome: z.boolean() })),
  day: sockDaySchema,
  course: limbCourseSchema,
  /** Newest first, the latest of each model. */
  checks: z.array(tableCheckRecordSchema),
});
export type LimbPage = z.infer<typeof limbPageSchema>;

/** The prosthetic side of a person: record, socks, shoes that were checked. */
export const limb = {
  limb: operation(ROUTES.limb, {
    id: 'readLimb',
    answer: limbPageSchema,
    tag: 'records',
    summary:
      'The prosthetic side: record, socks of the day and over months, what to carry, shoes checked on the table',
    params: byId,
    query: z.strictObject({ now: localMoment }),
  }),
  saveLimb: operation(ROUTES.saveLimb, {
    id: 'saveLimb',
    answer: z.object({ revision: z.int() }),
    tag: 'records',
    summary: 'Write the record of the prosthetic side; refused where somebody else wrote it since',
    params: byId,
    body: z.strictObject({ revision: z.int().min(0).max(INT4_MAX), record: limbRecordSchema }),
  }),
  noteSocks: operation(ROUTES.noteSocks, {
    id: 'noteSocks',
    tag: 'records',
    summary:
      'Note the socks that are on and how they feel; a second note of the same minute corrects the first',
    params: byId,
    body: sockEntrySchema,
    status: 204,
  }),
  saveSockChart: operation(ROUTES.saveSockChart, {
    id: 'saveSockChart',
    tag: 'records',
    summary: 'Write which ply a maker of socks marks with which colour',
    body: sockChartSchema,
    status: 204,
  }),
  keepTableCheck: operation(ROUTES.keepTableCheck, {
    id: 'keepTableCheck',
    tag: 'records',
    summary: 'Keep what was seen of a shoe with the prosthesis in it on the table',
    params: byId,
    body: tableCheckSchema,
    status: 204,
  }),
} as const;
