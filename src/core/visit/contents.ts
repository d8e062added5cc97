import { z } from 'zod';
import {
  ACHE_TIMES,
  type AcheTime,
  INJURY_DATE,
  INJURY_STATES,
  type InjuryState,
  SKIN_KINDS,
  type SkinKind,
} from '../body-map/mark';
import { siteSchema } from '../body-map/site-schema';
import { VIEWS, type View } from '../body-map/sites';
import { breakInSchoolSchema } from '../break-in/schema';
import { isoDay } from '../calendar/iso-day';
import { localMoment } from '../calendar/local-moment';
import { KNEE_BEND_METHODS, type KneeBendMethod } from '../examination/gait/knee-bend';
import { GAIT_EVENTS, type GaitEvent } from '../examination/gait/readings';
import { FINDINGS } from '../findings/findings';
import { findingsSchema } from '../findings/schema';
import { hotSpotSchema } from '../hot-spot/schema';
import { LACE_KINDS, type LaceKind } from '../lacing/laces';
import { modificationSchema } from '../modification/schema';
import { decisionSchema, scenarioSchema, schoolSchema, setAsideSchema } from '../prescribe/engine/schema';
import { ANKLE_QUESTIONS, type AnkleQuestion } from '../safety/ankle-injury-rules';
import { WARNING_ACTIONS, WARNING_SIGNS } from '../safety/warning-signs';
import { benchAnswersSchema } from '../shoe/bench/bench-schema';
import { COMPRESSION, type Compression, TREATMENTS, type Treatment } from '../swelling/course';
import { keySchema } from '../tables/key-schema';
import { keysOf } from '../tables/keys-of';
import { SAVED_STEPS, type SavedStep, type StepState, type StepStates } from './steps';
import { candidatesSchema, tryOnsSchema } from './try-on-schema';
import { oldPairSchema, pairsBeforeSchema } from './worn-pairs-schema';

export const stepStateSchema = z.enum(['untouched', 'in-progress', 'done', 'skipped'] satisfies StepState[]);

const note = z.string().max(2000);

const side = z.enum(['left', 'right']);
const bothSides = <S extends z.ZodType>(of: S) =>
  z.strictObject({ left: of.optional(), right: of.optional() });

const ankleSchema = z.partialRecord(keySchema<AnkleQuestion>(ANKLE_QUESTIONS), z.enum(['yes', 'no']));

export const warningsSchema = z.strictObject({
  checked: z.boolean().optional(),
  /** Steps of the ankle-injury rules, by injured side. */
  ankle: bothSides(ankleSchema).optional(),
  present: z
    .array(
      z.strictObject({
        sign: z.enum(WARNING_SIGNS.map(({ id }) => id)),
        action: keySchema(WARNING_ACTIONS).optional(),
        to: note.optional(),
        on: isoDay.optional(),
        how: note.optional(),
        footwear: note.optional(),
        note: note.optional(),
        clearedBy: note.optional(),
        clearedOn: isoDay.optional(),
      }),
    )
    .max(WARNING_SIGNS.length)
    .optional(),
});

export const choicesSchema = z.strictObject({
  school: schoolSchema.optional(),
  setAside: z.array(setAsideSchema).max(60).optional(),
  decisions: z.array(decisionSchema).max(60).optional(),
  /** A what-if that is pinned beside today's shoe. */
  scenario: scenarioSchema.optional(),
  note: note.optional(),
});
export type Choices = z.infer<typeof choicesSchema>;

const purposeSchema = keySchema(FINDINGS.activities.options);

/** The work on the pairs of a visit that are not under work now, each under its purpose. */
const parked = <S extends z.ZodType>(of: S) => z.partialRecord(purposeSchema, of).optional();

export const handOverSchema = z.strictObject({
  startedOn: isoDay.optional(),
  surface: z.enum(['hard', 'mixed', 'soft']).optional(),
  weeklyKm: z.number().min(0).max(400).optional(),
  /** Use a week in the unit of the pair's clock, where that is not kilometres. */
  weeklyUse: z.number().min(0).max(168, 'A week has 168 hours.').optional(),
  usualMinutes: z.number().min(0).max(1440).optional(),
  hills: z.boolean().optional(),
  /** Kept or worn in heat; worn in the wet. */
  heat: z.boolean().optional(),
  wet: z.boolean().optional(),
  /** As the box says. */
  madeOn: isoDay.optional(),
  batch: z.string().trim().max(60, 'Use at most 60 letters.').optional(),
  modifications: z.array(modificationSchema).max(12).optional(),
  /** How it is broken in; the clinic's way where nothing is said. */
  breakIn: breakInSchoolSchema.optional(),
  /** Eyelet pairs, and which kind of lace. */
  eyeletPairs: z.int().min(2, 'At least two pairs.').max(12, 'Up to twelve pairs.').optional(),
  laces: keySchema<LaceKind>(LACE_KINDS).optional(),
  note: note.optional(),
});

const triedSchema = z.strictObject({
  tryOns: tryOnsSchema.optional(),
  /** Makers and models are hidden while pairs are tried. */
  blind: z.boolean().optional(),
  /** What was felt at earlier visits does not count here. */
  withoutEarlier: z.boolean().optional(),
});

const markBase = {
  id: z.string().min(1).max(40),
  side,
  view: keySchema<View>(VIEWS),
  site: siteSchema,
  x: z.number().min(0).max(100),
  y: z.number().min(0).max(220),
  note: z.string().max(300).optional(),
};
const acheMark = z.strictObject({
  ...markBase,
  layer: z.literal('ache'),
  score: z.int('Pain is a whole number from 0 to 10.').min(0).max(10).optional(),
  when: z.array(keySchema<AcheTime>(ACHE_TIMES)).max(4).optional(),
  since: isoDay.optional(),
});
export const injuryMarkSchema = z.strictObject({
  ...markBase,
  layer: z.literal('injury'),
  what: z.enum([...keysOf(FINDINGS.injuries.options), 'other']).optional(),
  on: z.string().regex(INJURY_DATE, 'Write a year, or year-month: 2024-03.').optional(),
  state: keySchema<InjuryState>(INJURY_STATES).optional(),
});
const skinMark = z.strictObject({
  ...markBase,
  layer: z.literal('skin'),
  kind: keySchema<SkinKind>(SKIN_KINDS).optional(),
});
const marks = <S extends z.ZodType>(of: S) => z.array(of).max(120).optional();

/** How much of one activity in a usual week. */
const useSchema = z.strictObject({
  activity: keySchema(FINDINGS.activities.options),
  minutes: z.number().min(0).max(10_080, 'A week has 10 080 minutes.').optional(),
  km: z.number().min(0).max(400, 'Over 400 km a week: check the unit.').optional(),
});
const eventSchema = z.strictObject({
  /** May be empty while it is being written. */
  name: z.string().max(120),
  on: isoDay.optional(),
  km: z.number().min(0).max(1000).optional(),
  /** What makes a trip of it. */
  days: z.int('Whole days.').min(1).max(400).optional(),
  loadKg: z.number().min(0).max(60, 'Up to 60 kg.').optional(),
  ground: keySchema(FINDINGS.tripGround.options).optional(),
  descents: keySchema(FINDINGS.tripDescents.options).optional(),
});
export type DatedEvent = z.infer<typeof eventSchema>;

/** A shoe that the patient would like to have. */
const wantedSchema = z.strictObject({ model: z.uuid().optional(), title: z.string().max(200) });

const girth = z.number().min(100, 'A girth lies between 100 and 900 mm.').max(900).optional();
const sideGirths = z.strictObject({ figureOfEight: girth, ankleGirth: girth, calfGirth: girth });
export const swellingReadingSchema = z.strictObject({
  at: localMoment,
  awakeHours: z.number().min(0).max(24, 'Hours since rising, 0 to 24.').optional(),
  compression: keySchema<Compression>(COMPRESSION).optional(),
  treatment: keySchema<Treatment>(TREATMENTS).optional(),
  ...bothSides(sideGirths).shape,
});

const spot = z.strictObject({ x: z.number(), y: z.number() });
const gaitLine = z.tuple([spot, spot]).readonly();
const gaitReading = z.strictObject({
  side,
  condition: z.string().trim().min(1).max(80),
  activity: z.enum(['walk', 'run']),
  speedKmh: z
    .number()
    .min(0.5, 'Speed lies between 0.5 and 40 km/h.')
    .max(40, 'Speed lies between 0.5 and 40 km/h.')
    .optional(),
  minutes: z.number().min(0, 'Minutes are not negative.').max(1440, 'A day at most.').optional(),
  event: keySchema<GaitEvent>(GAIT_EVENTS),
  angleDeg: z.number().min(-60).max(60),
  frame: z.int().min(0),
  lines: z.strictObject({ leg: gaitLine, heel: gaitLine }),
});

const kneeBendPlacing = z.strictObject({
  side,
  method: keySchema<KneeBendMethod>(KNEE_BEND_METHODS),
  insideMm: z.number().min(-500).max(500),
  leanDeg: z.number().min(-90).max(90),
  frame: z.int().min(0),
  marks: z.strictObject({
    knee: spot,
    toe: spot,
    plumb: gaitLine,
    scale: z.tuple([spot, spot]).readonly(),
  }),
  scaleMm: z.number().min(1, 'The scale lies between 1 and 2000 mm.').max(2000),
});

/** What each step holds. Findings steps share one shape; an absent value is “not examined”. */
export const STEP_CONTENT = {
  ask: z.strictObject({
    findings: findingsSchema,
    marks: marks(z.discriminatedUnion('layer', [acheMark, injuryMarkSchema])),
    uses: z.array(useSchema).max(20).optional(),
    events: z.array(eventSchema).max(12).optional(),
    before: pairsBeforeSchema.optional(),
    wanted: wantedSchema.optional(),
  }),
  'old-pair': z.strictObject({
    findings: findingsSchema,
    bench: benchAnswersSchema.optional(),
    pairs: z.array(oldPairSchema).max(6).optional(),
  }),
  feet: z.strictObject({
    findings: findingsSchema,
    marks: marks(skinMark),
    swelling: z.array(swellingReadingSchema).max(60).optional(),
    hotSpots: z.array(hotSpotSchema).max(20).optional(),
    /** Girths up each leg for its volume, ankle first. */
    girthLadder: z
      .strictObject({
        spacingMm: z.number().min(10).max(150),
        ...bothSides(z.array(z.number().min(100).max(900)).max(20)).shape,
      })
      .optional(),
  }),
  load: z.strictObject({
    findings: findingsSchema,
    kneeBend: z.array(kneeBendPlacing).max(60).optional(),
  }),
  move: z.strictObject({
    findings: findingsSchema,
    gait: z.array(gaitReading).max(200).optional(),
  }),
  reason: choicesSchema.extend({
    /** The pair under work, where several are asked for. */
    pair: purposeSchema.optional(),
    parked: parked(choicesSchema),
  }),
  candidates: candidatesSchema.extend({ parked: parked(candidatesSchema) }),
  'try-on': triedSchema.extend({ parked: parked(triedSchema) }),
  'hand-over': handOverSchema.extend({ parked: parked(handOverSchema) }),
  warnings: warningsSchema,
  prosthesis: z.strictObject({
    shoeRise: z.number().min(0).max(120).optional(),
  }),
} as const satisfies Record<SavedStep, z.ZodType>;

/** What each step holds, by its name. */
export type StepContents = { [S in SavedStep]: z.infer<(typeof STEP_CONTENT)[S]> };
export type StepContent = StepContents[SavedStep];

export const savedStepSchema = z.enum(SAVED_STEPS);
export const stepStatesSchema: z.ZodType<StepStates> = z.partialRecord(savedStepSchema, stepStateSchema);

interface SavedAs<S extends SavedStep> {
  step: S;
  state: StepState;
  revision: number;
  content: StepContents[S];
  savedBy: string;
  savedAt: string;
}

/** One saved step as it travels: its name says what it holds. */
export type StepRecord = { [S in SavedStep]: SavedAs<S> }[SavedStep];

/** What is wrong with a step's content, or the content under its own type. */
export const checkContent = <S extends SavedStep>(
  step: S,
  content: unknown,
): z.ZodSafeParseResult<StepContents[S]> =>
  // Indexing by a type parameter loses which schema belongs to which content.
  STEP_CONTENT[step].safeParse(content) as z.ZodSafeParseResult<StepContents[S]>;

/**
 * A saved step as it was stored, with its content checked against the schema of its step.
 *
 * @throws Error naming step and place where what is stored does not fit; a migration has been forgotten then
 */
export function stepRecord(saved: Omit<StepRecord, 'content'>, content: unknown): StepRecord {
  const checked = checkContent(saved.step, content);
  if (checked.success) return { ...saved, content: checked.data } as StepRecord;
  const [issue] = checked.error.issues;
  throw new Error(
    `What is stored of the step “${saved.step}” does not fit: ${issue?.path.join('.')}: ${issue?.message}`,
  );
}

/** What a visit holds, by step; what was never begun is absent. */
export type VisitContents = Readonly<Partial<StepContents>>;
