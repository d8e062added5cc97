import { z } from 'zod';
import {
  candidatesAnswer,
  catalogueColumnsSchema,
  cataloguePartsSchema,
  fitAdviceAnswer,
  learnedColumnsSchema,
  modelRecordSchema,
  moreLikeAnswer,
  orderRecordSchema,
  shoeModelSchema,
  supplierAnnouncementSchema,
} from '@/contract/answers/shoes';
import { isoDay } from '@/core/calendar/iso-day';
import { MOST_PART_BITS } from '@/core/catalogue/parts';
import { DIRECTIONS } from '@/core/match/more-like';
import { modificationCheckSchema } from '@/core/modification/schema';
import { ORDER_EVENTS } from '@/core/orders/order';
import { benchAnswersSchema } from '@/core/shoe/bench/bench-schema';
import { keySchema } from '@/core/tables/key-schema';
import { keysOf } from '@/core/tables/keys-of';
import { handOverSchema } from '@/core/visit/contents';
import {
  feltBeforeSchema,
  fittingConditionsSchema,
  tryOnSchema,
  tryOnsSchema,
} from '@/core/visit/try-on-schema';
import { pairsBeforeSchema } from '@/core/visit/worn-pairs-schema';
import { pictureSchema } from './calculations';
import { byId } from './common';
import { operation } from './operation';
import { ROUTES } from './routes';

/** Largest catalogue file that is read, in bytes. */
export const IMPORT_LIMIT = 120_000_000;

const versionOfPart = z.string().regex(/^[0-9a-f]{16}$/);

/** A picture with the choices under which it is resolved, and what candidates are asked with. */
const askedSchema = z.strictObject({
  ...pictureSchema.shape,
  conditions: fittingConditionsSchema.optional(),
  /** Pairs that served or failed before. */
  before: pairsBeforeSchema.optional(),
});

export const orderSchema = handOverSchema.omit({ startedOn: true }).extend({
  expectedOn: isoDay.optional(),
  returnDays: z
    .int('Write whole days.')
    .min(0, 'A term is not negative.')
    .max(365, 'A year at most.')
    .optional(),
});

const arrivalSchema = z.strictObject({
  version: z.string().trim().min(1, 'Enter the version on the box.').max(120),
  sizeLeft: z.string().trim().min(1, 'Enter the size on the box.').max(40),
  sizeRight: z.string().trim().min(1, 'Enter the size on the box.').max(40),
  sound: z.boolean(),
  /** As the box says. */
  batch: handOverSchema.shape.batch,
  madeOn: handOverSchema.shape.madeOn,
});

export const modelChangeSchema = z.strictObject({
  stock: z.record(z.string().max(12), z.int().min(0).max(9999)).optional(),
  /** What the boxes on the shelf say; null takes it away. */
  batch: handOverSchema.shape.batch.nullable(),
  madeOn: handOverSchema.shape.madeOn.nullable(),
  price: z.number().min(0, 'A price is not negative.').max(100_000).nullish(),
  status: z.enum(['current', 'discontinued']).optional(),
});

export const benchTestSchema = z.strictObject({ answers: benchAnswersSchema });

export const supplierAnswerSchema = z.strictObject({
  take: z.array(z.string().max(200)).max(500).default([]),
  ignore: z.array(z.string().max(200)).max(500).default([]),
});

export const orderEventSchema = z.strictObject({
  event: z.enum(['check', ...keysOf(ORDER_EVENTS)]),
  note: z.string().max(300).optional(),
  expectedOn: isoDay.optional(),
  arrival: arrivalSchema.optional(),
  /** At collection: what was found of each change, in the order of the changes. */
  checks: z.array(modificationCheckSchema).max(12).optional(),
  /** At collection: felt on the feet once more. */
  tryAgain: tryOnSchema.omit({ model: true }).optional(),
});

/** Shoes: catalogue, bench tests, candidates, fitting, orders. */
export const shoes = {
  models: operation(ROUTES.models, {
    id: 'models',
    answer: z.array(shoeModelSchema),
    tag: 'shoes',
    summary: 'The catalogue, with what the clinic’s fittings teach of each model’s true inside',
  }),
  catalogueParts: operation(ROUTES.catalogueParts, {
    id: 'catalogueParts',
    answer: cataloguePartsSchema,
    tag: 'shoes',
    summary: 'Into how many parts the catalogue falls, and which version each of them has',
  }),
  cataloguePart: operation(ROUTES.cataloguePart, {
    id: 'cataloguePart',
    answer: catalogueColumnsSchema,
    tag: 'shoes',
    summary: 'One part of the catalogue by columns; under its version it never changes',
    params: z.object({
      bits: z.coerce.number().int().min(0).max(MOST_PART_BITS),
      part: z.coerce
        .number()
        .int()
        .min(0)
        .max(2 ** MOST_PART_BITS - 1),
      version: versionOfPart,
    }),
    staysAsItIs: true,
  }),
  learnedFits: operation(ROUTES.learnedFits, {
    id: 'learnedFits',
    answer: learnedColumnsSchema,
    tag: 'shoes',
    summary: 'What the clinic’s fittings teach of every model, in the order of the parts',
    params: z.object({ version: versionOfPart }),
    staysAsItIs: true,
  }),
  model: operation(ROUTES.model, {
    id: 'readModel',
    answer: modelRecordSchema,
    tag: 'shoes',
    summary: 'One model: every value with source and day, versions, bench tests, who wears it',
    params: byId,
  }),
  changeModel: operation(ROUTES.changeModel, {
    id: 'changeModel',
    answer: modelRecordSchema,
    tag: 'shoes',
    summary: 'Count the shelf, change price or status',
    params: byId,
    body: modelChangeSchema,
  }),
  benchTest: operation(ROUTES.benchTest, {
    id: 'recordBenchTest',
    answer: modelRecordSchema,
    tag: 'shoes',
    summary:
      'Record a bench test of a new pair: it fills what was unknown and shows where the maker disagrees',
    params: byId,
    body: benchTestSchema,
    status: 201,
  }),
  exportCatalogue: operation(ROUTES.exportCatalogue, {
    id: 'exportCatalogue',
    tag: 'shoes',
    summary: 'The catalogue as a file',
    query: z.object({ format: z.enum(['csv', 'json']).default('csv') }),
    produces: 'text/csv',
  }),
  importCatalogue: operation(ROUTES.importCatalogue, {
    id: 'importCatalogue',
    tag: 'shoes',
    summary:
      'Read a catalogue in CSV or JSON from the body, all or nothing: a line of JSON each for progress and the report; closing it cancels',
    query: z.object({ dry: z.enum(['yes', 'no']).default('no') }),
    produces: 'application/x-ndjson',
  }),
  supplierFeed: operation(ROUTES.supplierFeed, {
    id: 'readSupplierFeed',
    answer: z.array(supplierAnnouncementSchema),
    tag: 'shoes',
    summary: 'What the simulated supplier announces and nobody has answered yet',
  }),
  answerSupplier: operation(ROUTES.answerSupplier, {
    id: 'answerSupplierFeed',
    answer: z.array(supplierAnnouncementSchema),
    tag: 'shoes',
    summary: 'Take announcements over into the catalogue, or set them aside',
    body: supplierAnswerSchema,
  }),
  candidates: operation(ROUTES.candidates, {
    id: 'rankCandidates',
    answer: candidatesAnswer,
    tag: 'calculations',
    summary: 'The catalogue ranked for a picture, with sizes, stock, what is excluded, and three to try',
    body: askedSchema.extend({
      inStockOnly: z.boolean().optional(),
      mostPrice: z.number().min(0).optional(),
      limit: z.int().min(1).max(200).default(20),
    }),
  }),
  moreLike: operation(ROUTES.moreLike, {
    id: 'moreLikeThis',
    answer: moreLikeAnswer,
    tag: 'calculations',
    summary: 'Models like this one but softer, lighter, wider …',
    body: askedSchema.extend({
      model: z.uuid(),
      but: keySchema(DIRECTIONS),
    }),
  }),
  fitAdvice: operation(ROUTES.fitAdvice, {
    id: 'adviseOnFit',
    answer: fitAdviceAnswer,
    tag: 'calculations',
    summary: 'What the checks of a fitting say, what to do, and which pair to try next',
    body: askedSchema.extend({
      tryOns: tryOnsSchema.min(1),
      /** What was felt at earlier visits. */
      feltBefore: z.array(feltBeforeSchema).max(40).optional(),
    }),
  }),
  orderPair: operation(ROUTES.orderPair, {
    id: 'orderPair',
    answer: orderRecordSchema,
    tag: 'orders',
    summary: 'Issue the specification and order the chosen pair; refused while a warning sign is open',
    params: byId,
    body: orderSchema,
    status: 201,
  }),
  orders: operation(ROUTES.orders, {
    id: 'listOrders',
    answer: z.array(orderRecordSchema),
    tag: 'orders',
    summary: 'Orders, the open ones first',
    query: z.object({
      patient: z.uuid().optional(),
      open: z.enum(['yes', 'no']).optional(),
      /** The last order of the page before; 500 at a time. */
      before: z.uuid().optional(),
    }),
  }),
  orderEvent: operation(ROUTES.orderEvent, {
    id: 'moveOrder',
    answer: orderRecordSchema,
    tag: 'orders',
    summary: 'Say what happened to an order: ordered, arrived and checked, collected, sent back',
    params: byId,
    body: orderEventSchema,
    status: 201,
  }),
} as const;
