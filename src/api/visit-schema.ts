import { z } from 'zod';
import { findingsSchema } from '@/core/picture/schema';
import { schoolSchema, setAsideSchema } from '@/core/prescribe/schema';
import { WARNING_ACTIONS, WARNING_SIGNS } from '@/core/safety/warning-signs';
import { SAVED_STEPS, type SavedStep, type StepState } from './saved-steps';

export const stepStateSchema = z.enum(['untouched', 'in-progress', 'done', 'skipped'] satisfies StepState[]);

const note = z.string().max(2000);

export const warningsSchema = z.strictObject({
  checked: z.boolean().optional(),
  present: z
    .array(
      z.strictObject({
        sign: z.enum(WARNING_SIGNS.map((sign) => sign.id) as [string, ...string[]]),
        action: z.enum(Object.keys(WARNING_ACTIONS) as ['referred', 'under-care', 'excluded']).optional(),
        note: note.optional(),
      }),
    )
    .max(WARNING_SIGNS.length)
    .optional(),
});

export const choicesSchema = z.strictObject({
  school: schoolSchema.optional(),
  setAside: z.array(setAsideSchema).max(60).optional(),
  note: note.optional(),
});
export type Choices = z.infer<typeof choicesSchema>;

const feel = <T extends string>(...values: [T, ...T[]]) => z.enum(values).optional();

/** Any system's size: a child's UK 0 to a Mondopoint in millimetres. */
const size = z.number().min(0, 'A size is not negative.').max(400, 'This is no size.').optional();

export const tryOnSchema = z.strictObject({
  model: z.uuid(),
  sizeLeft: size,
  sizeRight: size,
  width: z.string().max(4).optional(),
  roomMm: z
    .number()
    .min(-20, 'Room lies between −20 and 60 mm.')
    .max(60, 'Room lies between −20 and 60 mm.')
    .optional(),
  widthFit: feel('tight', 'right', 'loose'),
  depth: feel('tight', 'right', 'loose'),
  heelSlip: feel('none', 'slight', 'clear'),
  collar: feel('clear', 'presses'),
  archFeel: feel('right', 'presses', 'missing'),
  bend: feel('under-ball', 'too-far-back'),
  task: feel('good', 'fair', 'poor'),
  seen: feel('moves-less', 'same', 'moves-more'),
  comfort: z
    .number()
    .min(0, 'Comfort lies between 0 and 100.')
    .max(100, 'Comfort lies between 0 and 100.')
    .optional(),
  words: note.optional(),
  verdict: feel('chosen', 'possible', 'rejected'),
});

export const sockKindSchema = z.strictObject({
  ply: z.int().min(1, 'A sock has 1 to 12 ply.').max(12, 'A sock has 1 to 12 ply.'),
  hole: z.boolean(),
  quantity: z.int().min(0).max(30),
});

export const isoDay = z.iso.date('Write the date as year-month-day.');

export const handOverSchema = z.strictObject({
  startedOn: isoDay.optional(),
  surface: z.enum(['hard', 'mixed', 'soft']).optional(),
  weeklyKm: z.number().min(0).max(400).optional(),
  usualMinutes: z.number().min(0).max(1440).optional(),
  note: note.optional(),
});

/** What each step holds. Findings steps share one shape; an absent value is “not examined”. */
export const STEP_CONTENT = {
  ask: z.strictObject({ findings: findingsSchema }),
  'old-pair': z.strictObject({ findings: findingsSchema }),
  feet: z.strictObject({ findings: findingsSchema }),
  load: z.strictObject({ findings: findingsSchema }),
  move: z.strictObject({ findings: findingsSchema }),
  reason: choicesSchema,
  candidates: z.strictObject({ chosen: z.array(z.uuid()).max(6).optional() }),
  'try-on': z.strictObject({ tryOns: z.array(tryOnSchema).max(6).optional() }),
  'hand-over': handOverSchema,
  warnings: warningsSchema,
  prosthesis: z.strictObject({
    inventory: z.array(sockKindSchema).max(20).optional(),
    wantedPly: z.int().min(0).max(40).optional(),
    needsHole: z.boolean().optional(),
    shoeRise: z.number().min(0).max(120).optional(),
  }),
} as const satisfies Record<SavedStep, z.ZodType>;

export type StepContents = { [S in SavedStep]: z.infer<(typeof STEP_CONTENT)[S]> };
export type StepContent = StepContents[SavedStep];

export const savedStepSchema = z.enum(SAVED_STEPS);

/** One saved step as it travels. */
export interface StepRecord {
  step: SavedStep;
  state: StepState;
  revision: number;
  content: StepContent;
  savedBy: string;
  savedAt: string;
}
