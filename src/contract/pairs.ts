import { z } from 'zod';
import { goOnSchema, outingAnswerSchema } from '@/core/break-in/schema';
import { isoDay } from '@/core/calendar/iso-day';
import { outcomeSchema } from '@/core/outcomes/schema';
import { photographSchema } from '@/core/photograph/photograph-schema';
import { reviewSchema } from '@/core/review/review';
import { oldPairSchema } from '@/core/visit/worn-pairs-schema';
import { inspectionContentSchema } from '@/core/wear/worn-schema';
import { outcomeRecordSchema } from './answers/outcomes';
import { modelLifeSchema, repeatSchema, timeLineSchema, weekRecordSchema, weekSchema } from './answers/pairs';
import { pairPageSchema, photographRecordSchema } from './answers/records';
import { reviewPageSchema } from './answers/reviews';
import { daySchema, idSchema } from './answers/shared';
import { addedSchema, byId } from './common';
import { operation } from './operation';
import { pairLogSchema, retirePairSchema } from './patients-schema';
import { ROUTES } from './routes';

export const inspectionSchema = inspectionContentSchema.extend({
  on: isoDay,
  /** How much it was used since the last entry of its log, in the unit of its clock. */
  since: pairLogSchema.shape.amount,
});

const brought = oldPairSchema.shape.id;
/** A photograph of one of the pairs that were brought to a visit. */
export const broughtPhotographSchema = photographSchema.extend({ brought });

/** Pairs in use: what is logged, what is seen of them, and how long they will last. */
export const pairs = {
  pair: operation(ROUTES.pair, {
    id: 'readPair',
    answer: pairPageSchema,
    tag: 'records',
    summary:
      'A pair with its log, its inspections and its replacement window, and the pairs of its model before it',
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
  keepOutcome: operation(ROUTES.keepOutcome, {
    id: 'keepOutcome',
    answer: outcomeRecordSchema,
    tag: 'records',
    summary:
      'Keep what became of a pair on one day: comfort, pain, own activities, skin, falls, totals of questionnaires',
    params: byId,
    body: outcomeSchema,
    status: 201,
  }),
  reviewOfPair: operation(ROUTES.reviewOfPair, {
    id: 'readReviews',
    answer: reviewPageSchema,
    tag: 'records',
    summary: 'What a pair was given for, what was measured first, and its reviews so far',
    params: byId,
  }),
  keepReview: operation(ROUTES.keepReview, {
    id: 'keepReview',
    answer: z.object({ id: idSchema, visitId: idSchema.nullable(), again: daySchema.nullable() }),
    tag: 'records',
    summary:
      'Review a pair: what changed, warning signs, measures, inspection, and whether it is kept, refitted, followed by the next or the person referred',
    params: byId,
    body: reviewSchema,
    status: 201,
  }),
  answerOuting: operation(ROUTES.answerOuting, {
    id: 'answerOuting',
    answer: z.object({ state: z.enum(['going', 'refit', 'stop']) }),
    tag: 'records',
    summary: 'Keep how an outing in a new pair felt; the plan of its break-in follows',
    params: byId,
    body: outingAnswerSchema,
    status: 201,
  }),
  goOn: operation(ROUTES.goOn, {
    id: 'goOn',
    answer: z.object({ state: z.enum(['going', 'refit', 'stop']) }),
    tag: 'records',
    summary: 'A pair that was stopped or sore was looked at, and may go on',
    params: byId,
    body: goOnSchema,
    status: 201,
  }),
  keepPhotograph: operation(ROUTES.keepPhotograph, {
    id: 'keepPhotograph',
    answer: addedSchema,
    tag: 'records',
    summary: 'Keep a photograph of a pair, as JPEG in base64, with its thumbnail and the lines on it',
    params: byId,
    body: photographSchema,
    bodyLimit: 2_400_000,
    status: 201,
  }),
  broughtPhotographs: operation(ROUTES.broughtPhotographs, {
    id: 'readBroughtPhotographs',
    answer: z.array(photographRecordSchema),
    tag: 'visits',
    summary: 'Photographs of a pair that was brought to a visit and is none of the clinic’s',
    params: byId,
    query: z.object({ brought }),
  }),
  keepBroughtPhotograph: operation(ROUTES.keepBroughtPhotograph, {
    id: 'keepBroughtPhotograph',
    answer: addedSchema,
    tag: 'visits',
    summary: 'Keep a photograph of a pair that was brought to a visit',
    params: byId,
    body: broughtPhotographSchema,
    bodyLimit: 2_400_000,
    status: 201,
  }),
  photograph: operation(ROUTES.photograph, {
    id: 'readPhotograph',
    tag: 'records',
    summary: 'A photograph as JPEG, whole or as its thumbnail',
    params: byId,
    query: z.object({ size: z.enum(['whole', 'thumbnail']).default('whole') }),
    produces: 'image/jpeg',
  }),
  repeat: operation(ROUTES.repeat, {
    id: 'mayRepeat',
    answer: repeatSchema,
    tag: 'records',
    summary: 'Whether another pair of the same model, version and size may be bought unseen',
    params: byId,
  }),
  endPair: operation(ROUTES.endPair, {
    id: 'endPair',
    answer: z.object({ endedOn: daySchema }),
    tag: 'records',
    summary: 'Retire a pair',
    params: byId,
    body: retirePairSchema,
  }),
  timeLine: operation(ROUTES.timeLine, {
    id: 'readTimeLine',
    answer: timeLineSchema,
    tag: 'records',
    summary: 'A patient’s pairs, changes and aches on one line, with what changed before each ache',
    params: byId,
  }),
  week: operation(ROUTES.week, {
    id: 'readWeek',
    answer: weekRecordSchema,
    tag: 'records',
    summary: 'A patient’s week: outings, pairs in use, and which goes to which',
    params: byId,
  }),
  saveWeek: operation(ROUTES.saveWeek, {
    id: 'saveWeek',
    answer: weekRecordSchema,
    tag: 'records',
    summary: 'Keep a patient’s week; the pairs’ windows follow',
    params: byId,
    body: weekSchema,
  }),
  modelLife: operation(ROUTES.modelLife, {
    id: 'readModelLife',
    answer: modelLifeSchema,
    tag: 'shoes',
    summary: 'How long pairs of a model last, as this clinic’s own pairs tell',
    params: byId,
  }),
} as const;
