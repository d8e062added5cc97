import { z } from 'zod';
import { siteSchema } from '../body-map/site-schema';
import { VIEWS, type View } from '../body-map/sites';
import { isoDay } from '../calendar/iso-day';
import { localMoment } from '../calendar/local-moment';
import { FINDINGS } from '../findings/findings';
import type { PushOff } from '../fitting/push-off';
import { MOST_EARLIER } from '../fitting/sizes';
import {
  COMFORT_ZONES,
  type ComfortZone,
  FEELS,
  type Feel,
  POINT_KINDS,
  type PointKind,
  TASKS,
  type Task,
} from '../fitting/try-on';
import { INSERTS, MEASURED, SOCKS } from '../sizing/size-wish';
import { keySchema } from '../tables/key-schema';

const one = <T extends string>(...values: [T, ...T[]]) => z.enum(values).optional();
const note = z.string().max(2000);

/** Any system's size: a child's UK 0 to a Mondopoint in millimetres. */
const size = z.number().min(0, 'A size is not negative.').max(400, 'This is not a size.').optional();
const comfort = z
  .number()
  .min(0, 'Comfort lies between 0 and 100.')
  .max(100, 'Comfort lies between 0 and 100.')
  .optional();

const footFitSchema = z.strictObject({
  roomMm: z
    .number()
    .min(-20, 'Room lies between −20 and 60 mm.')
    .max(60, 'Room lies between −20 and 60 mm.')
    .optional(),
  widthFit: one('tight', 'right', 'loose'),
  depth: one('tight', 'right', 'loose'),
  heelSlip: one('none', 'slight', 'clear'),
  midfootHold: one('held', 'loose'),
  collar: one('clear', 'presses'),
  archFeel: one('right', 'presses', 'missing'),
  instep: one('right', 'presses'),
  bend: one('under-ball', 'too-far-back'),
  pushOff: keySchema<PushOff>(FINDINGS.pushOff.options).optional(),
});

const pointSchema = z.strictObject({
  id: z.string().min(1).max(40),
  side: z.enum(['left', 'right']),
  view: keySchema<View>(VIEWS),
  site: siteSchema,
  x: z.number().min(0).max(100),
  y: z.number().min(0).max(220),
  kind: keySchema<PointKind>(POINT_KINDS),
});

const width = z.string().max(4).optional();
const sizesTried = { sizeLeft: size, sizeRight: size, width, widthRight: width };
const felt = {
  left: footFitSchema.optional(),
  right: footFitSchema.optional(),
  points: z.array(pointSchema).max(40).optional(),
  tasks: z.partialRecord(keySchema<Task>(TASKS), z.enum(['good', 'fair', 'poor'])).optional(),
  seen: one('moves-less', 'same', 'moves-more'),
  seenFast: one('moves-less', 'same', 'moves-more'),
  comfort,
  comfortAgain: comfort,
  zones: z.partialRecord(keySchema<ComfortZone>(COMFORT_ZONES), z.number().min(0).max(100)).optional(),
  feels: z.array(keySchema<Feel>(FEELS)).max(6).optional(),
  verdict: one('chosen', 'possible', 'rejected'),
  because: z.string().max(300).optional(),
  /** When it was first rated: feet change through a day. */
  triedAt: localMoment.optional(),
};

export const tryOnSchema = z.strictObject({
  model: z.uuid(),
  ...sizesTried,
  ...felt,
  insert: one('none', 'own', 'flat'),
  /** As its box says. */
  batch: z.string().trim().max(60, 'Use at most 60 letters.').optional(),
  madeOn: isoDay.optional(),
  words: note.optional(),
  earlier: z
    .array(z.strictObject({ ...sizesTried, ...felt }))
    .max(MOST_EARLIER)
    .optional(),
});

/** What a pair of an earlier visit leaves for the next. */
export const feltBeforeSchema = tryOnSchema.pick({
  model: true,
  comfort: true,
  comfortAgain: true,
  feels: true,
});

/** Pairs of one fitting; those that made room for others are kept. */
export const tryOnsSchema = z.array(tryOnSchema).max(20);

/** What the foot was measured in and what it will wear. */
export const fittingConditionsSchema = z.strictObject({
  sock: keySchema<keyof typeof SOCKS>(SOCKS).optional(),
  insert: keySchema<keyof typeof INSERTS>(INSERTS).optional(),
  measured: keySchema<keyof typeof MEASURED>(MEASURED).optional(),
});

/** Features that the patient's wishes limit beside the specification. */
export const candidatesSchema = z.strictObject({
  chosen: z.array(z.uuid()).max(6).optional(),
  conditions: fittingConditionsSchema.optional(),
  /** A budget is a limit that the patient may set. */
  mostPrice: z.number().min(0).max(100_000).optional(),
  inStockOnly: z.boolean().optional(),
});
