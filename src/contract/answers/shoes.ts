import { z } from 'zod';
import type { CatalogueColumns, LearnedColumns, Packed } from '@/core/catalogue/columns';
import type { ShoeModel } from '@/core/catalogue/model';
import type { CatalogueParts } from '@/core/catalogue/parts';
import type { FittingFallback } from '@/core/fitting/fallbacks';
import type { FitAdvice, Remedy } from '@/core/fitting/fit-advice';
import type { NextGuess } from '@/core/fitting/next-guess';
import type { FittingOutcome } from '@/core/fitting/outcome';
import type { Proposal, TrialRole } from '@/core/match/propose';
import type { Excluded, FeatureReason, Ranked } from '@/core/match/rank';
import { modificationSchema } from '@/core/modification/schema';
import { ON_FOOT_LABEL, type OnFootVerdict } from '@/core/prosthesis/on-this-foot';
import { benchAnswersSchema } from '@/core/shoe/bench/bench-schema';
import type { LearnedFit, LearnedOffset } from '@/core/sizing/learned/learned-fit';
import type { PairKind, SizedPair } from '@/core/sizing/size-pair';
import type { SizeRow } from '@/core/sizing/size-table';
import type { ModelSizing, StartSize } from '@/core/sizing/start-size';
import { keySchema } from '@/core/tables/key-schema';
import { tryOnSchema } from '@/core/visit/try-on-schema';
import type { ModelRecord, OrderRecord, SupplierAnnouncement } from '../records';
import {
  daySchema,
  featureIdSchema,
  featureReadingsSchema,
  featureValuesSchema,
  idSchema,
  momentSchema,
  sideSchema,
  sizeSystemSchema,
  sizingGroupSchema,
  widthLetterSchema,
} from './shared';

// Models, sizes, candidates, fittings and orders as the API answers them. Typed by what the core and the records say: a field that is missing here does not compile.

export const modelSizingSchema: z.ZodType<ModelSizing> = z.object({
  system: sizeSystemSchema,
  group: sizingGroupSchema,
  allowanceMm: z.number(),
  lengthOffsetMm: z.number(),
  foldOffsetMm: z.number().optional(),
  widthOffsetMm: z.number(),
  sizes: z.array(z.number()),
  widths: z.array(widthLetterSchema),
  ballWidthMm: z.number(),
});

export const learnedOffsetSchema: z.ZodType<LearnedOffset> = z.object({
  meanMm: z.number(),
  sdMm: z.number(),
  fittings: z.number(),
  relatives: z.number(),
});

export const learnedFitSchema: z.ZodType<LearnedFit> = z.object({
  length: learnedOffsetSchema,
  width: learnedOffsetSchema,
  fold: learnedOffsetSchema.nullable(),
});

export const shoeModelSchema: z.ZodType<ShoeModel> = z.object({
  id: idSchema,
  maker: z.string(),
  name: z.string(),
  version: z.string(),
  features: featureValuesSchema,
  sizing: modelSizingSchema,
  learned: learnedFitSchema.optional(),
  stock: z.record(z.string(), z.number()),
  boxes: z.object({ batch: z.string().optional(), madeOn: daySchema.optional() }),
  price: z.number().nullable(),
  status: z.enum(['current', 'discontinued']),
  replaces: z.string().nullable(),
});

const packed = <T>(value: z.ZodType<T>): z.ZodType<Packed<T>> =>
  z.object({ values: z.array(value), at: z.array(z.int()) });

export const catalogueColumnsSchema: z.ZodType<CatalogueColumns> = z.object({
  ids: z.array(idSchema),
  stated: z.object({
    maker: packed(z.string()),
    name: packed(z.string()),
    version: packed(z.string()),
    sizing: packed(modelSizingSchema),
    stock: packed(z.record(z.string(), z.number())),
    boxes: packed(z.object({ batch: z.string().optional(), madeOn: daySchema.optional() })),
    price: packed(z.number().nullable()),
    status: packed(z.enum(['current', 'discontinued'])),
    replaces: packed(z.string().nullable()),
  }),
  features: z.partialRecord(featureIdSchema, packed(z.union([z.number(), z.string()]))),
});

export const learnedColumnsSchema: z.ZodType<LearnedColumns> = z.object({
  length: packed(learnedOffsetSchema),
  width: packed(learnedOffsetSchema),
  fold: packed(learnedOffsetSchema.nullable()),
});

export const cataloguePartsSchema: z.ZodType<CatalogueParts> = z.object({
  bits: z.number(),
  models: z.number(),
  parts: z.array(z.object({ part: z.number(), version: z.string() })),
  learned: z.string(),
});

export const orderRecordSchema: z.ZodType<OrderRecord> = z.object({
  id: idSchema,
  patient: z.object({
    id: idSchema,
    name: z.string(),
  }),
  visitId: idSchema,
  specificationId: idSchema,
  model: shoeModelSchema,
  sizeLeft: z.string(),
  sizeRight: z.string(),
  modifications: z.array(modificationSchema),
  state: z.enum(['ordered', 'collected', 'returned', 'cancelled', 'wanted', 'arrived', 'checked', 'wrong']),
  cameVersion: z.string().nullable(),
  expectedOn: daySchema.nullable(),
  late: z.boolean(),
  arrivedOn: daySchema.nullable(),
  returnBy: daySchema.nullable(),
  daysToReturn: z.number().nullable(),
  createdAt: momentSchema,
  events: z.array(
    z.object({
      event: z.enum(['place', 'arrive', 'pass', 'reject', 'return', 'collect', 'cancel', 'created']),
      note: z.string(),
      by: z.string(),
      at: momentSchema,
    }),
  ),
});

export const modelRecordSchema: z.ZodType<ModelRecord> = z.object({
  model: shoeModelSchema,
  readings: featureReadingsSchema,
  versions: z.array(shoeModelSchema),
  wearers: z.array(
    z.object({
      patientId: idSchema,
      name: z.string(),
      since: daySchema,
      modelId: idSchema,
    }),
  ),
  benchTests: z.array(
    z.object({
      id: idSchema,
      answers: benchAnswersSchema,
      by: z.string(),
      at: momentSchema,
    }),
  ),
  changes: z.array(
    z.object({
      what: z.string(),
      by: z.string(),
      at: momentSchema,
    }),
  ),
});

export const supplierAnnouncementSchema: z.ZodType<SupplierAnnouncement> = z.object({
  id: z.string(),
  kind: z.enum(['discontinued', 'new-version', 'price', 'stock']),
  on: daySchema,
  title: z.string(),
  what: z.string(),
  wearers: z.number(),
});

export const sizeRowSchema: z.ZodType<SizeRow> = z.object({
  system: sizeSystemSchema,
  label: z.string(),
  exact: z.number(),
  size: z.number(),
  width: z.string(),
  assumption: z.string(),
});

export const trialRoleSchema: z.ZodType<TrialRole> = z.enum(['structured', 'other', 'optimum', 'softer']);

export const proposalSchema: z.ZodType<Proposal> = z.object({
  id: idSchema,
  role: trialRoleSchema,
  teaches: z.string(),
});

export const rankedSchema: z.ZodType<Ranked> = z.object({
  id: idSchema,
  score: z.number(),
  unknown: z.number(),
  spread: z.number(),
});

export const excludedSchema: z.ZodType<Excluded> = z.object({
  id: idSchema,
  by: z.array(
    z.object({
      feature: featureIdSchema,
      sentence: z.string(),
    }),
  ),
});

export const pairKindSchema: z.ZodType<PairKind> = z.enum(['same', 'filler', 'split', 'one-foot']);

export const startSizeSchema: z.ZodType<StartSize> = z.object({
  size: z.number(),
  label: z.string(),
  width: widthLetterSchema,
  insideLengthMm: z.number(),
  roomMm: z.number(),
  insideWidthMm: z.number(),
  byToes: z.number(),
  byArch: z.number().nullable(),
  foldMisfitMm: z.number().nullable(),
  why: z.array(z.string()),
});

export const sizedPairSchema: z.ZodType<SizedPair> = z.object({
  kind: pairKindSchema,
  left: startSizeSchema.nullable(),
  right: startSizeSchema.nullable(),
  label: z.string(),
  advice: z.string(),
  fillerMm: z.number(),
});

export const remedySchema: z.ZodType<Remedy> = z.union([
  z.object({
    kind: z.literal('size'),
    size: z.number(),
    width: z.string(),
    roomMm: z.number(),
    inStock: z.number(),
  }),
  z.object({
    kind: z.literal('width'),
    width: z.string(),
    inStock: z.number(),
  }),
  z.object({
    kind: z.literal('lacing'),
    pattern: z.enum(['heel-lock', 'skip-lowest', 'parallel', 'window', 'no-lace', 'plain']),
  }),
  z.object({
    kind: z.literal('models'),
    ids: z.array(z.string()),
  }),
]);

export const fitAdviceSchema: z.ZodType<FitAdvice> = z.object({
  level: z.enum(['stop', 'change', 'good']),
  side: sideSchema.nullable(),
  field: z.enum([
    'seen',
    'seenFast',
    'pushOff',
    'roomMm',
    'widthFit',
    'depth',
    'heelSlip',
    'collar',
    'archFeel',
    'midfootHold',
    'instep',
    'bend',
    'tasks',
    'points',
  ]),
  sentence: z.string(),
  remedies: z.array(remedySchema),
  mark: z.string(),
});

export const fittingOutcomeSchema: z.ZodType<FittingOutcome> = z.object({
  best: tryOnSchema.nullable(),
  clear: z.boolean(),
  nothingFits: z.boolean(),
  sentence: z.string(),
});

export const nextGuessSchema: z.ZodType<NextGuess> = z.object({
  taste: z.object({
    drop: z.object({
      points: z.number(),
      sd: z.number(),
    }),
    firmness: z.object({
      points: z.number(),
      sd: z.number(),
    }),
    structure: z.object({
      points: z.number(),
      sd: z.number(),
    }),
    height: z.object({
      points: z.number(),
      sd: z.number(),
    }),
    weight: z.object({
      points: z.number(),
      sd: z.number(),
    }),
    stiffness: z.object({
      points: z.number(),
      sd: z.number(),
    }),
  }),
  direction: z.string(),
  candidates: z.array(
    z.object({
      id: idSchema,
      points: z.number(),
      differs: z.string(),
    }),
  ),
  earlier: z.int(),
});

export const fittingFallbackSchema: z.ZodType<FittingFallback> = z.union([
  z.object({
    kind: z.enum(['fetch', 'order']),
    id: idSchema,
    label: z.string(),
  }),
  z.object({
    kind: z.literal('refer'),
    sentence: z.string(),
  }),
]);

const limitsOfUse = z.string();

const featureReasonSchema: z.ZodType<FeatureReason> = z.object({
  feature: featureIdSchema,
  label: z.string(),
  has: z.string(),
  wanted: z.string(),
  serves: z.number(),
  inside: z.boolean(),
  weight: z.number(),
  fails: sideSchema.nullable(),
});

export const candidatesAnswer = z.object({
  candidates: z.array(
    z.object({
      id: idSchema,
      score: z.number(),
      unknown: z.number(),
      spread: z.number(),
      title: z.string(),
      size: z
        .object({
          kind: pairKindSchema,
          left: startSizeSchema.nullable(),
          right: startSizeSchema.nullable(),
          label: z.string(),
          advice: z.string(),
          fillerMm: z.number(),
          inStock: z.int(),
        })
        .nullable(),
      fit: z.string().nullish(),
      /** How it stands to a pair that served or failed. */
      /** How it stands on the prosthetic foot; null without one. */
      onFoot: z
        .object({
          verdict: keySchema<OnFootVerdict>(ON_FOOT_LABEL),
          riseMm: z.number().nullable(),
          leanDeg: z.number().nullable(),
          wedgeMm: z.number().nullable(),
          says: z.array(z.string()),
        })
        .nullable(),
      kinship: z.string().nullable(),
      reasons: z.object({
        pro: z.array(featureReasonSchema),
        contra: z.array(featureReasonSchema),
        check: z.array(z.string()),
      }),
    }),
  ),
  toTry: z.array(proposalSchema),
  /** Why fewer than three are proposed; empty where three are. */
  fewerBecause: z.array(z.string()),
  excluded: z.array(
    z.object({
      id: idSchema,
      title: z.string(),
      by: z.array(z.object({ feature: featureIdSchema, sentence: z.string() })),
    }),
  ),
  noSize: z.array(z.object({ id: idSchema, title: z.string(), message: z.string() })),
  limitsOfUse,
});

export const moreLikeAnswer = z.object({
  models: z.array(z.object({ id: idSchema, title: z.string(), score: z.number(), also: z.string() })),
});

export const fitAdviceAnswer = z.object({
  advice: z.array(z.object({ model: idSchema, letter: z.string(), advice: z.array(fitAdviceSchema) })),
  outcome: fittingOutcomeSchema,
  next: nextGuessSchema.nullable(),
  fallbacks: z.array(fittingFallbackSchema),
  limitsOfUse,
});
