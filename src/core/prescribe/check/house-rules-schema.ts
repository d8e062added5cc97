import { z } from 'zod';
import { FINDING_IDS } from '../../findings/findings';
import { HOUSE_TOPIC } from '../../knowledge/house-rules';
import type { Condition, Rule, Wish } from '../../knowledge/rule';
import { prosthesisSettingsSchema } from '../../prosthesis/settings-schema';
import { FEATURE_IDS } from '../../shoe/features';
import { ROOM_BOUNDS } from '../../shoe/room';
import { SIGNS, type SignId } from '../../signs/signs';
import { keySchema } from '../../tables/key-schema';
import { ruleProblems } from './check';

const finding = z.enum(FINDING_IDS);
const feature = z.enum(FEATURE_IDS);
const options = z.array(z.string().max(60)).min(1, 'Choose at least one.').max(30);
export const strengthSchema = z.enum(['limit', 'strong', 'moderate', 'slight']);
const strength = strengthSchema.optional();

/** A condition of a clinic's own rule: plain demands, all or any of them, none nested deeper. */
const demand = z.union(
  [
    z.strictObject({ finding, is: options }),
    z.strictObject({ finding, has: options }),
    z.strictObject({
      finding,
      atLeast: z.number().optional(),
      below: z.number().optional(),
      above: z.number().optional(),
      atMost: z.number().optional(),
      over: z.number().positive().optional(),
    }),
  ],
  'Each finding needs at least one option, or a number.',
);
const term = z.union(
  [demand, z.strictObject({ not: demand })],
  'Each finding needs at least one option, or a number.',
);
const conditionSchema = z.union(
  [
    z.strictObject({ all: z.array(term).min(1, 'Name at least one finding.').max(8) }),
    z.strictObject({ any: z.array(term).min(1, 'Name at least one finding.').max(8) }),
  ],
  'Each finding needs at least one option, or a number.',
) as unknown as z.ZodType<Condition, Condition>;

const amount = z.union([z.number(), z.strictObject({ finding, plus: z.number().optional() })]);
const wishSchema = z.union(
  [
    z.strictObject({ feature, prefer: options, strength }),
    z.strictObject({ feature, avoid: options, strength }),
    z.strictObject({ feature, worth: z.record(z.string(), z.number().min(0).max(1)), strength }),
    z.strictObject({
      feature,
      curve: z
        .array(z.tuple([z.number(), z.number().min(0).max(1)]))
        .min(2)
        .max(12),
      strength,
    }),
    z
      .strictObject({
        feature,
        atLeast: amount.optional(),
        atMost: amount.optional(),
        reach: z.number().positive().optional(),
        strength,
      })
      .refine((wish) => wish.atLeast !== undefined || wish.atMost !== undefined),
  ],
  'Each wish needs at least one option, or an end of its band.',
) as unknown as z.ZodType<Wish, Wish>;

const words = (what: string, least: number, most: number) =>
  z.string().trim().min(least, `${what}: at least ${least} letters.`).max(most);

/** A clinic's own rule, with the same fields as those that ship, checked in the same way. */
export const ownRuleSchema = z
  .strictObject({
    id: z
      .string()
      .regex(/^house-[a-z0-9-]{2,60}$/, 'A name of small letters, digits and dashes after “house-”.'),
    topic: z.literal(HOUSE_TOPIC),
    finding: words('Finding', 3, 160),
    when: conditionSchema,
    wishes: z.array(wishSchema).min(1, 'Wish for at least one feature.').max(12),
    strength: strengthSchema,
    schools: z.array(z.enum(['shape', 'comfort', 'load'])).max(3),
    evidence: z.enum(['A', 'B', 'C']),
    sources: z.array(z.string().max(60)).min(1).max(8),
    because: words('Because', 20, 400),
    caution: z.string().trim().max(300).optional(),
    contestedBy: z.array(z.string().max(80)).max(20).optional(),
  })
  .superRefine((rule, context) => {
    for (const problem of ruleProblems(rule as Rule))
      context.addIssue({ code: 'custom', message: problem.message, path: [] });
  }) as unknown as z.ZodType<Rule, Rule>;

export const houseReasonSchema = words('Reason', 3, 600);
const reason = houseReasonSchema;

export const houseChangeSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('off'), rule: z.string().max(80), reason }),
  z.strictObject({ kind: z.literal('strength'), rule: z.string().max(80), strength: strengthSchema, reason }),
  z.strictObject({ kind: z.literal('own'), rule: ownRuleSchema, reason }),
]);

const percent = z.number().min(0).max(10);
const room = z
  .number()
  .min(ROOM_BOUNDS.least, `Room lies between ${ROOM_BOUNDS.least} and ${ROOM_BOUNDS.most} mm.`)
  .max(ROOM_BOUNDS.most, `Room lies between ${ROOM_BOUNDS.least} and ${ROOM_BOUNDS.most} mm.`);

export const houseRulesSchema = z.strictObject({
  changes: z.array(houseChangeSchema).max(200),
  settings: z.strictObject({
    kneePerMmDrop: z
      .strictObject({ low: percent, high: percent })
      .refine(({ low, high }) => low <= high, 'The low figure lies below the high one.')
      .optional(),
    usualRoom: z
      .strictObject({ least: room, wished: room, most: room })
      .refine(
        ({ least, wished, most }) => least <= wished && wished <= most,
        'The usual room lies between the least and the most.',
      )
      .optional(),
    outcomes: z
      .strictObject({
        weeks: z
          .array(
            z
              .int('Weeks are whole numbers.')
              .min(1, 'A week at least.')
              .max(52, 'After a year the months count.'),
          )
          .min(1, 'Name at least one week.')
          .max(8, 'Eight at most.')
          .refine(
            (weeks) => weeks.every((week, at) => at === 0 || week > weeks[at - 1]!),
            'Each week comes after the one before it.',
          )
          .readonly(),
        thenMonths: z
          .int('Months are a whole number.')
          .min(1, 'A month at least.')
          .max(12, 'Once a year at least.'),
      })
      .optional(),
    prosthesis: prosthesisSettingsSchema.optional(),
    signStrengths: z
      .partialRecord(keySchema<SignId>(SIGNS), z.number().min(0).max(2, 'Twice at most.'))
      .optional(),
  }),
});
