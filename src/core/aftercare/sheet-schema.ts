import { z } from 'zod';
import { isoDay } from '../calendar/iso-day';
import { SIDES } from '../findings/finding-kinds';
import { LACE_SIDES } from '../lacing/eyelets';
import { LACING_NEEDS } from '../lacing/needs';
import { TENSIONS } from '../lacing/plan';
import { featureValuesSchema } from '../shoe/bench/bench-schema';
import { FEATURES, type FeatureId } from '../shoe/features';
import { keySchema } from '../tables/key-schema';
import { SHEET_WORDS } from './headings';
import type { PatientSheet } from './patient-sheet';

const eyelet = z.object({ side: z.enum(LACE_SIDES), row: z.int().min(0) });
export const eyeletsSchema = z.strictObject({
  zones: z.array(z.int().min(2, 'At least two pairs.').max(12, 'Up to twelve pairs.')).min(1).max(3),
  extra: z.boolean(),
});
const sideLacing = z.object({
  needs: z.array(
    z.object({ kind: z.enum(LACING_NEEDS), share: z.number().optional(), isLarge: z.boolean().optional() }),
  ),
  laces: z.array(
    z.object({
      nodes: z.array(eyelet),
      startsAfter: z.int(),
      base: z.enum(['cross', 'parallel', 'toe-lift']),
      lift: z.enum(LACE_SIDES),
      topRow: z.int(),
      twistAfter: z.int().nullable(),
      isLocked: z.boolean(),
    }),
  ),
  tension: z.array(z.enum(TENSIONS)),
  nextBest: z.array(
    z.object({
      need: z.enum(LACING_NEEDS),
      instead: z.enum(['twist', 'firm-at-the-top', 'easy-below']),
      because: z.enum(['no-extra-eyelet', 'too-few-eyelets', 'another-need']),
    }),
  ),
  lengthsCm: z.array(z.number()),
});
const lines = z.array(z.string());
const place = z.object({ firm: z.number(), stiff: z.number() });

/** A sheet as it is stored and sent. */
export const patientSheetSchema: z.ZodType<PatientSheet> = z.object({
  edition: z.literal(3),
  language: z.string(),
  direction: z.enum(['ltr', 'rtl']),
  words: z.record(z.enum(SHEET_WORDS), z.string()),
  patient: z.string(),
  clinic: z.string(),
  phone: z.string(),
  shoe: z.string(),
  size: z.string(),
  startedOn: isoDay,
  reviewOn: isoDay,
  replaceBetween: z.object({ from: isoDay, to: isoDay }).nullable(),
  startNextOn: isoDay.nullable(),
  values: featureValuesSchema,
  soleMm: z.number().optional(),
  points: z.array(z.object({ feature: keySchema<FeatureId>(FEATURES).nullable(), text: z.string() })),
  among: z.object({ pair: place, others: z.array(place) }).nullable(),
  roomMm: z.object({ least: z.number(), most: z.number() }),
  howItFits: lines,
  changes: lines,
  lacing: z.discriminatedUnion('kind', [
    z.object({
      kind: z.literal('laced'),
      eyelets: eyeletsSchema,
      shoes: z.array(
        z.object({
          label: z.string(),
          side: z.enum(SIDES),
          lacing: sideLacing,
          because: lines,
          steps: lines,
        }),
      ),
      after: lines,
    }),
    z.object({ kind: z.literal('closure'), steps: lines }),
  ]),
  breakIn: z.object({
    weeks: z.array(
      z.object({
        label: z.string(),
        from: isoDay,
        fromInWords: z.string(),
        share: z.number(),
        text: z.string(),
      }),
    ),
    lines,
  }),
  skin: lines,
  care: lines,
  dates: lines,
  stopAndCall: lines,
  again: z.string().nullable(),
  shop: lines,
  caution: z.string(),
});
