import { z } from 'zod';
import { isoDay } from '@/core/visit/iso-day';
import { inspectionContentSchema } from '@/core/wear/worn-schema';
import { modelLifeSchema } from './answers/pairs';
import { pairRecordSchema } from './answers/records';
import { daySchema } from './answers/shared';
import { addedSchema, byId } from './common';
import { operation } from './operation';
import { pairLogSchema, retirePairSchema } from './patients-schema';
import { ROUTES } from './routes';

export const inspectionSchema = inspectionContentSchema.extend({
  on: isoDay,
  /** How much it was used since the last entry of its log, in the unit of its clock. */
  since: pairLogSchema.shape.amount,
});

/** Pairs in use: what is logged, what is seen of them, and how long they will last. */
export const pairs = {
  pair: operation(ROUTES.pair, {
    id: 'readPair',
    answer: pairRecordSchema,
    tag: 'records',
    summary: 'A pair with its log, its inspections and its replacement window',
    params: byId,
  }),
  logPair: operation(ROUTES.logPair, {
    id: 'logPair',
    answer: addedSchema,
    tag: 'records',
    summary: 'Log distance and comfort of a pair',
    params: byId,
    body: pairLogSchema,
    status: 201,
  }),
  inspectPair: operation(ROUTES.inspectPair, {
    id: 'inspectPair',
    answer: addedSchema,
    tag: 'records',
    summary: 'Keep what an inspection of a pair saw; its window follows',
    params: byId,
    body: inspectionSchema,
    status: 201,
  }),
  endPair: operation(ROUTES.endPair, {
    id: 'endPair',
    answer: z.object({ endedOn: daySchema }),
    tag: 'records',
    summary: 'Retire a pair',
    params: byId,
    body: retirePairSchema,
  }),
  modelLife: operation(ROUTES.modelLife, {
    id: 'readModelLife',
    answer: modelLifeSchema,
    tag: 'shoes',
    summary: 'How long pairs of a model last, as this clinic’s own pairs tell',
    params: byId,
  }),
} as const;
