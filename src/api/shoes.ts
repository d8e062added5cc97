import { z } from 'zod';
import { DIRECTIONS, type DirectionId } from '@/core/match/more-like';
import { ORDER_EVENTS, type OrderEvent } from '@/core/orders/order';
import { benchAnswersSchema } from './bench-schema';
import { pictureSchema } from './calculations';
import { byId, CLINICIANS } from './common';
import { operation } from './operation';
import { fittingConditionsSchema, tryOnSchema, tryOnsSchema } from './try-on-schema';
import { handOverSchema, isoDay } from './visit-schema';

/** Largest catalogue file that is read, in bytes. */
export const IMPORT_LIMIT = 120_000_000;

/** A picture with the choices under which it is resolved, and what candidates are asked with. */
const askedSchema = z.strictObject({
  ...pictureSchema.shape,
  conditions: fittingConditionsSchema.optional(),
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
  modified: z.boolean(),
});

export const modelChangeSchema = z.strictObject({
  stock: z.record(z.string().max(12), z.int().min(0).max(9999)).optional(),
  price: z.number().min(0, 'A price is not negative.').max(100_000).nullish(),
  status: z.enum(['current', 'discontinued']).optional(),
});

export const benchTestSchema = z.strictObject({ answers: benchAnswersSchema });

export const supplierAnswerSchema = z.strictObject({
  take: z.array(z.string().max(200)).max(500).default([]),
  ignore: z.array(z.string().max(200)).max(500).default([]),
});

export const orderEventSchema = z.strictObject({
  event: z.enum(['check', ...(Object.keys(ORDER_EVENTS) as OrderEvent[])]),
  note: z.string().max(300).optional(),
  expectedOn: isoDay.optional(),
  arrival: arrivalSchema.optional(),
  /** At collection: felt on the feet once more. */
  tryAgain: tryOnSchema.omit({ model: true }).optional(),
});

/** Shoes: catalogue, bench tests, candidates, fitting, orders. */
export const shoes = {
  models: operation({
    id: 'models',
    method: 'GET',
    path: '/models',
    tag: 'shoes',
    summary: 'The catalogue, with what the clinic’s fittings teach of each model’s true inside',
  }),
  model: operation({
    id: 'readModel',
    method: 'GET',
    path: '/models/{id}',
    tag: 'shoes',
    summary: 'One model: every value with source and day, versions, bench tests, who wears it',
    params: byId,
  }),
  changeModel: operation({
    id: 'changeModel',
    method: 'PATCH',
    path: '/models/{id}',
    tag: 'shoes',
    summary: 'Count the shelf, change price or status',
    params: byId,
    body: modelChangeSchema,
  }),
  benchTest: operation({
    id: 'recordBenchTest',
    method: 'POST',
    path: '/models/{id}/bench-tests',
    tag: 'shoes',
    summary:
      'Record a bench test of a new pair: it fills what was unknown and shows where the maker disagrees',
    params: byId,
    body: benchTestSchema,
    status: 201,
  }),
  exportCatalogue: operation({
    id: 'exportCatalogue',
    method: 'GET',
    path: '/catalogue',
    tag: 'shoes',
    summary: 'The catalogue as a file',
    query: z.object({ format: z.enum(['csv', 'json']).default('csv') }),
    produces: 'text/csv',
  }),
  importCatalogue: operation({
    id: 'importCatalogue',
    method: 'POST',
    path: '/catalogue',
    tag: 'shoes',
    summary:
      'Read a catalogue in CSV or JSON from the body, all or nothing: a line of JSON each for progress and the report; closing it cancels',
    query: z.object({ dry: z.enum(['yes', 'no']).default('no') }),
    produces: 'application/x-ndjson',
    roles: CLINICIANS,
  }),
  supplierFeed: operation({
    id: 'readSupplierFeed',
    method: 'GET',
    path: '/supplier/feed',
    tag: 'shoes',
    summary: 'What the simulated supplier announces and nobody has answered yet',
  }),
  answerSupplier: operation({
    id: 'answerSupplierFeed',
    method: 'POST',
    path: '/supplier/feed',
    tag: 'shoes',
    summary: 'Take announcements over into the catalogue, or set them aside',
    body: supplierAnswerSchema,
    roles: CLINICIANS,
  }),
  candidates: operation({
    id: 'rankCandidates',
    method: 'POST',
    path: '/calculations/candidates',
    tag: 'calculations',
    summary: 'The catalogue ranked for a picture, with sizes, stock, what is excluded, and three to try',
    body: askedSchema.extend({
      inStockOnly: z.boolean().optional(),
      mostPrice: z.number().min(0).optional(),
      limit: z.int().min(1).max(200).default(20),
    }),
  }),
  moreLike: operation({
    id: 'moreLikeThis',
    method: 'POST',
    path: '/calculations/more-like',
    tag: 'calculations',
    summary: 'Models like this one but softer, lighter, wider …',
    body: askedSchema.extend({
      model: z.uuid(),
      but: z.enum(Object.keys(DIRECTIONS) as [DirectionId, ...DirectionId[]]),
    }),
  }),
  fitAdvice: operation({
    id: 'adviseOnFit',
    method: 'POST',
    path: '/calculations/fit-advice',
    tag: 'calculations',
    summary: 'What the checks of a fitting say, what to do, and which pair to try next',
    body: askedSchema.extend({ tryOns: tryOnsSchema.min(1) }),
  }),
  orderPair: operation({
    id: 'orderPair',
    method: 'POST',
    path: '/visits/{id}/order',
    tag: 'orders',
    summary: 'Issue the specification and order the chosen pair; refused while a warning sign is open',
    params: byId,
    body: orderSchema,
    status: 201,
    roles: CLINICIANS,
  }),
  orders: operation({
    id: 'listOrders',
    method: 'GET',
    path: '/orders',
    tag: 'orders',
    summary: 'Orders, the open ones first',
    query: z.object({ patient: z.uuid().optional(), open: z.enum(['yes', 'no']).optional() }),
  }),
  orderEvent: operation({
    id: 'moveOrder',
    method: 'POST',
    path: '/orders/{id}/events',
    tag: 'orders',
    summary: 'Say what happened to an order: ordered, arrived and checked, collected, sent back',
    params: byId,
    body: orderEventSchema,
    status: 201,
  }),
} as const;
