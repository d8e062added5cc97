import { z } from 'zod';
import { patientSheetSchema } from '@/core/aftercare/sheet-schema';
import { breakInInputSchema, breakInSchoolSchema } from '@/core/break-in/schema';
import { CONTACT_WAYS, type ContactWay } from '@/core/contact/reach';
import { findingsSchema } from '@/core/findings/schema';
import { formatsSchema } from '@/core/formats/formats-schema';
import { modificationSchema } from '@/core/modification/schema';
import {
  PHOTOGRAPH_KINDS,
  type PhotographKind,
  pictureScaleSchema,
  tiltLinesSchema,
} from '@/core/photograph/photograph-schema';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import { limbRecordSchema } from '@/core/prosthesis/limb-record';
import { CONTACT_TRIES, type ContactTry, RECALL, type RecallKindId } from '@/core/recall/kinds';
import { retentionSchema } from '@/core/retention/keep-until';
import { SIGNS, type SignId } from '@/core/signs/signs';
import { keySchema } from '@/core/tables/key-schema';
import {
  injuryMarkSchema,
  savedStepSchema,
  stepStatesSchema,
  swellingReadingSchema,
} from '@/core/visit/contents';
import { feltBeforeSchema } from '@/core/visit/try-on-schema';
import { CLOCKS, type Clock } from '@/core/wear/clocks';
import type { WearForecast } from '@/core/wear/forecast';
import { RETIRED_BECAUSE, type RetiredBecause } from '@/core/wear/retired';
import { inspectionContentSchema } from '@/core/wear/worn-schema';
import { bringInSchema, lifeSchoolSchema } from '../common';
import { consentRecordSchema } from '../patients-schema';
import { AREAS, type Area, hourSchema, ROLE_NAMES, TOKEN_ACCESS, type TokenAccess } from '../people-schema';
import type {
  ClinicRecord,
  EarlierVisit,
  PairLogEntry,
  PairPage,
  PairRecord,
  PatientRecord,
  PatientSummary,
  PhotographRecord,
  PresenceAnswer,
  RecallItem,
  TokenRecord,
  VisitRecord,
  VisitSummary,
} from '../records';
import type { Role } from '../routes';
import { outcomeRecordSchema } from './outcomes';
import {
  activitySchema,
  daySchema,
  idSchema,
  momentSchema,
  ruleSchema,
  sizingGroupSchema,
  stepRecordSchema,
  wearSurfaceSchema,
} from './shared';
import { orderRecordSchema, shoeModelSchema } from './shoes';
import { houseRulesSchema, specificationSchema } from './specification';

// Patients, visits, pairs and lists as the API answers them. Typed by what the core and the records say: a field that is missing here does not compile.

export const clinicRecordSchema: z.ZodType<ClinicRecord> = z.object({
  id: idSchema,
  name: z.string(),
  place: z.string(),
  school: schoolSchema,
  lifeSchool: lifeSchoolSchema,
  bringIn: bringInSchema,
  phone: z.string(),
  breakInSchool: breakInSchoolSchema,
  formats: formatsSchema,
  secondFactorRequired: z.boolean(),
  retention: retentionSchema,
  quietFrom: hourSchema,
  quietTo: hourSchema,
  digest: z.boolean(),
});

export const earlierVisitSchema: z.ZodType<EarlierVisit> = z.object({
  on: daySchema,
  findings: findingsSchema,
  swelling: z.array(swellingReadingSchema),
});

/** What every record says of a patient. */
const whoTheyAre = {
  id: idSchema,
  givenName: z.string(),
  familyName: z.string(),
  bornOn: daySchema,
  age: z.number(),
  sizingGroup: sizingGroupSchema,
  occupation: z.string(),
};

export const visitRecordSchema: z.ZodType<VisitRecord> = z.object({
  id: idSchema,
  startedAt: momentSchema,
  closedAt: momentSchema.nullable(),
  closedBecause: z.string().nullable(),
  patient: z.object({
    ...whoTheyAre,
    heightMm: z.number().nullable(),
    school: schoolSchema.nullable(),
  }),
  clinic: clinicRecordSchema,
  house: houseRulesSchema,
  limb: limbRecordSchema.nullable(),
  girthsFromHome: z.array(swellingReadingSchema),
  issued: z.array(
    z.object({
      id: idSchema,
      purpose: activitySchema.nullable(),
      specification: specificationSchema,
      rules: z.array(ruleSchema).nullable(),
      sheet: patientSheetSchema.nullable(),
      order: orderRecordSchema.nullable(),
    }),
  ),
  carried: z
    .object({
      findings: findingsSchema,
      injuries: z.array(injuryMarkSchema),
      from: daySchema,
    })
    .nullable(),
  earlier: z.array(earlierVisitSchema),
  feltBefore: z.array(feltBeforeSchema),
  steps: z.array(stepRecordSchema),
  reader: z.string(),
  readerRole: keySchema<Role>(ROLE_NAMES),
});

export const pairLogEntrySchema: z.ZodType<PairLogEntry> = z.object({
  id: idSchema,
  on: daySchema,
  distanceKm: z.number().nullable(),
  amount: z.number().nullable(),
  comfort: z.number().nullable(),
  note: z.string(),
});

const quantiles = { q10: z.number(), q50: z.number(), q90: z.number() };

export const wearForecastSchema: z.ZodType<WearForecast> = z.object({
  basis: z.enum(['log', 'stated', 'calendar', 'shelf', 'unknown']),
  life: z.object({
    ...quantiles,
    clock: keySchema<Clock>(CLOCKS),
    from: z.enum(['practice', 'ours', 'learned']),
    pairs: z.number(),
    relatives: z.number(),
  }),
  used: z.number().nullable(),
  weekly: z.number().nullable(),
  windowDays: z.object(quantiles).nullable(),
  startNextDay: z.number().nullable(),
  state: z.enum(['in-life', 'bring-in-next', 'in-window', 'overdue', 'unknown']),
  adjustments: z.array(z.string()),
  dominates: z.string(),
  inspected: z
    .object({
      day: z.number(),
      spent: z.number(),
      fits: z.object({ suits: z.number(), soft: z.number(), loose: z.number() }),
      before: z.object(quantiles),
    })
    .nullable(),
});

export const pairRecordSchema: z.ZodType<PairRecord> = z.object({
  id: idSchema,
  model: shoeModelSchema,
  sizeLeft: z.string(),
  sizeRight: z.string(),
  startedOn: daySchema,
  endedOn: daySchema.nullable(),
  endedBecause: keySchema<RetiredBecause>(RETIRED_BECAUSE).nullable(),
  madeOn: daySchema.nullable(),
  surface: wearSurfaceSchema.nullable(),
  conditions: z.object({
    hills: z.boolean().optional(),
    landing: z.enum(['heel', 'midfoot', 'forefoot']).optional(),
    heat: z.boolean().optional(),
  }),
  batch: z.string().nullable(),
  log: z.array(pairLogEntrySchema),
  forecast: wearForecastSchema,
  window: z.object({ from: daySchema, middle: daySchema, to: daySchema, startNextOn: daySchema }).nullable(),
  comfort: z
    .object({
      baseline: z.number(),
      now: z.number(),
      reading: z.enum(['better', 'no real change', 'worse']),
    })
    .nullable(),
  modifications: z.array(modificationSchema),
  inspections: z.array(
    z.object({
      id: idSchema,
      on: daySchema,
      content: inspectionContentSchema,
      by: z.string(),
      used: z.number(),
    }),
  ),
  schools: z.array(z.object({ school: lifeSchoolSchema, q10: z.number(), q90: z.number() })),
  successor: z
    .object({
      id: idSchema,
      title: z.string(),
      differs: z.array(z.string()),
    })
    .nullable(),
});

export const photographRecordSchema: z.ZodType<PhotographRecord> = z.object({
  id: idSchema,
  kind: keySchema<PhotographKind>(PHOTOGRAPH_KINDS),
  takenOn: daySchema,
  width: z.number(),
  height: z.number(),
  lines: tiltLinesSchema.nullable(),
  scale: pictureScaleSchema.nullable(),
});

export const pairPageSchema: z.ZodType<PairPage> = z.object({
  pair: pairRecordSchema,
  patient: z.object({ id: idSchema, name: z.string() }),
  strengths: z.partialRecord(keySchema<SignId>(SIGNS), z.number()).optional(),
  forerunners: z.array(pairRecordSchema),
  photographs: z.array(photographRecordSchema),
  breakIn: breakInInputSchema.nullable(),
  outcomes: outcomeRecordSchema,
});

export const visitSummarySchema: z.ZodType<VisitSummary> = z.object({
  id: idSchema,
  startedAt: momentSchema,
  closedAt: momentSchema.nullable(),
  closedBecause: z.string().nullable(),
  startedBy: z.string(),
  handedOver: z.array(
    z.object({ specificationId: idSchema, pairId: idSchema, shoe: z.string(), reviewOn: daySchema }),
  ),
});

export const patientRecordSchema: z.ZodType<PatientRecord> = z.object({
  heightMm: z.number().nullable(),
  school: schoolSchema.nullable(),
  pairs: z.array(pairRecordSchema),
  visits: z.array(visitSummarySchema),
  orders: z.array(orderRecordSchema),
  contactBy: keySchema<ContactWay>(CONTACT_WAYS),
  phone: z.string(),
  email: z.string(),
  address: z.string(),
  language: z.string(),
  archived: z.boolean(),
  consents: z.array(consentRecordSchema),
  ...whoTheyAre,
});

export const recallItemSchema: z.ZodType<RecallItem> = z.object({
  kind: keySchema<RecallKindId>(RECALL),
  patient: z.object({
    id: z.string(),
    name: z.string(),
    age: z.number(),
  }),
  reach: z.string().nullable(),
  what: z.string(),
  on: daySchema,
  aboutId: z.string().nullable(),
  steps: stepStatesSchema.nullable(),
  tried: z.object({ way: keySchema<ContactTry>(CONTACT_TRIES), at: momentSchema, by: z.string() }).nullable(),
});

export const tokenRecordSchema: z.ZodType<TokenRecord> = z.object({
  id: idSchema,
  name: z.string(),
  createdAt: momentSchema,
  lastUsedAt: momentSchema.nullable(),
  expiresAt: momentSchema,
  access: keySchema<TokenAccess>(TOKEN_ACCESS),
  areas: z.array(keySchema<Area>(AREAS)).nullable(),
});

export const presenceAnswerSchema: z.ZodType<PresenceAnswer> = z.object({
  others: z.array(
    z.object({
      name: z.string(),
      step: savedStepSchema,
      seenAt: momentSchema,
    }),
  ),
  revisions: z.partialRecord(savedStepSchema, z.number()),
});

export const patientSummarySchema: z.ZodType<PatientSummary> = z.object({
  ...whoTheyAre,
});
