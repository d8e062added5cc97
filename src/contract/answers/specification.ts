import { z } from 'zod';
import { findingsSchema } from '@/core/findings/schema';
import type { Proposal } from '@/core/insights/propose-changes';
import type { Knowledge } from '@/core/knowledge/edition';
import type { HouseRules } from '@/core/knowledge/house-rules';
import { strengthSchema } from '@/core/prescribe/check/house-rules-schema';
import type { ChangedTarget, PictureChange } from '@/core/prescribe/counterfactual/preview';
import { schoolSchema } from '@/core/prescribe/engine/schema';
import type {
  Alternative,
  Awaited,
  Band,
  ChoiceTarget,
  Deadlock,
  EndCost,
  NumericTarget,
  OpenQuestion,
  Push,
  Specification,
  Target,
  Want,
} from '@/core/prescribe/engine/specification';
import { choicesSchema } from '@/core/visit/contents';
import type { HouseRulesVersion, ReplayRecord, RuleUse } from '../records';
import {
  campSchema,
  featureIdSchema,
  featureValueSchema,
  findingIdSchema,
  houseChangeAnswerSchema,
  houseSettingsSchema,
  idSchema,
  momentSchema,
  roomSchema,
  ruleSchema,
  sideSchema,
} from './shared';

// Specifications, rules and replays as the API answers them. Typed by what the core and the records say: a field that is missing here does not compile.

export const bandSchema: z.ZodType<Band> = z.object({
  from: z.number(),
  to: z.number(),
});

export const wantSchema: z.ZodType<Want> = z.union([
  z.object({
    band: bandSchema,
    reach: z.number(),
  }),
  z.object({
    curve: z.array(z.tuple([z.number(), z.number()])),
  }),
  z.object({
    prefer: z.array(z.string()),
  }),
  z.object({
    worth: z.record(z.string(), z.number()),
  }),
  z.object({
    avoid: z.array(z.string()),
  }),
]);

export const pushSchema: z.ZodType<Push> = z.object({
  rule: z.string(),
  sides: z.array(sideSchema),
  strength: strengthSchema,
  weight: z.number(),
  want: wantSchema,
  without: featureValueSchema.nullable(),
  setAside: z.string().optional(),
  because: z.string(),
  finding: z.string(),
  evidence: z.enum(['A', 'B', 'C']),
  schools: z.array(campSchema),
  sources: z.array(z.string()),
  contestedBy: z.array(z.string()),
  caution: z.string().optional(),
});

export const alternativeSchema: z.ZodType<Alternative> = z.object({
  value: featureValueSchema,
  peak: z.boolean(),
  utility: z.number(),
  serves: z.array(z.string()),
  costs: z.array(
    z.object({
      rule: z.string(),
      loses: z.number(),
    }),
  ),
});

export const awaitedSchema: z.ZodType<Awaited> = z.object({
  rule: z.string(),
  amount: findingIdSchema,
  sides: z.array(sideSchema),
  strength: strengthSchema,
  finding: z.string(),
});

const endCostSchema: z.ZodType<EndCost> = z.object({
  rule: z.string(),
  finding: z.string(),
  limit: z.boolean(),
});

/** What a target holds, whatever kind of feature it is of. */
const whatEveryTargetHolds = {
  feature: featureIdSchema,
  firmness: z.number(),
  tension: z.number(),
  utility: z.number(),
  pushes: z.array(pushSchema),
  awaits: z.array(awaitedSchema),
  alternatives: z.array(alternativeSchema),
  decision: z
    .object({
      kind: z.enum(['pin', 'loosen', 'overrule']),
      reason: z.string(),
      ruled: z
        .union([
          z.object({
            best: z.number(),
            band: bandSchema,
          }),
          z.object({
            best: z.string(),
            options: z.array(z.string()),
          }),
        ])
        .nullable(),
      refused: z.string().optional(),
    })
    .optional(),
};

export const numericTargetSchema: z.ZodType<NumericTarget> = z.object({
  kind: z.literal('band'),
  best: z.number(),
  band: bandSchema,
  limit: bandSchema.nullable(),
  ends: z.object({ low: endCostSchema.nullable(), high: endCostSchema.nullable() }),
  ...whatEveryTargetHolds,
});

export const choiceTargetSchema: z.ZodType<ChoiceTarget> = z.object({
  kind: z.literal('options'),
  best: z.string(),
  options: z.array(z.string()),
  excluded: z.array(z.string()),
  ...whatEveryTargetHolds,
});

export const targetSchema: z.ZodType<Target> = z.union([numericTargetSchema, choiceTargetSchema]);

export const deadlockSchema: z.ZodType<Deadlock> = z.object({
  feature: featureIdSchema,
  side: sideSchema.optional(),
  sets: z.array(z.array(z.string())),
  rules: z.array(z.string()),
  message: z.string(),
});

export const openQuestionSchema: z.ZodType<OpenQuestion> = z.object({
  finding: findingIdSchema,
  sides: z.array(sideSchema),
  rules: z.array(z.string()),
  weight: z.number(),
  lacksAmount: z.boolean(),
});

export const houseRulesSchema: z.ZodType<HouseRules> = z.object({
  version: z.number(),
  changes: z.array(houseChangeAnswerSchema),
  settings: houseSettingsSchema,
});

export const specificationSchema: z.ZodType<Specification> = z.object({
  knowledge: z.string(),
  school: schoolSchema,
  usualRoom: roomSchema.optional(),
  targets: z.array(targetSchema),
  feet: z.object({
    left: z.array(targetSchema),
    right: z.array(targetSchema),
  }),
  deadlocks: z.array(deadlockSchema),
  open: z.array(openQuestionSchema),
  cautions: z.array(z.string()),
});

export const changedTargetSchema: z.ZodType<ChangedTarget> = z.object({
  feature: featureIdSchema,
  side: sideSchema.optional(),
  before: z.string(),
  after: z.string(),
});

export const pictureChangeSchema: z.ZodType<PictureChange> = z.object({
  targets: z.array(changedTargetSchema),
  deadlocks: z.array(z.string()),
});

export const replayRecordSchema: z.ZodType<ReplayRecord> = z.object({
  alike: z.boolean().nullable(),
  today: z.object({
    edition: z.string(),
    specification: specificationSchema,
    changes: pictureChangeSchema.nullable(),
  }),
  id: idSchema,
  visitId: idSchema,
  patient: z.object({
    id: idSchema,
    name: z.string(),
  }),
  issuedAt: momentSchema,
  issuedBy: z.string(),
  findings: findingsSchema,
  choices: choicesSchema,
  specification: specificationSchema,
});

export const houseRulesVersionSchema: z.ZodType<HouseRulesVersion> = z.object({
  note: z.string(),
  madeBy: z.string(),
  madeAt: momentSchema,
  version: z.number(),
  changes: z.array(houseChangeAnswerSchema),
  settings: houseSettingsSchema,
});

export const ruleUseSchema: z.ZodType<RuleUse> = z.object({
  rule: z.string(),
  fired: z.number(),
  overruled: z.number(),
});

/** A change of a rule that the clinic's own record speaks for; null where the rule is a limit. */
export const proposalSchema: z.ZodType<Proposal> = z.object({
  rule: z.string(),
  because: z.enum(['overruled', 'worse']),
  evidence: z.string(),
  change: z
    .discriminatedUnion('kind', [
      z.object({ kind: z.literal('off'), rule: z.string(), reason: z.string() }),
      z.object({
        kind: z.literal('strength'),
        rule: z.string(),
        strength: strengthSchema,
        reason: z.string(),
      }),
    ])
    .nullable(),
});

export const knowledgeSchema: z.ZodType<Knowledge> = z.object({
  edition: z.string(),
  rules: z.array(ruleSchema),
});
