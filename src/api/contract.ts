import { z } from 'zod';
import { houseRulesSchema } from '@/core/knowledge/schema';
import { findingsSchema } from '@/core/picture/schema';
import { decisionSchema, scenarioSchema, schoolSchema, setAsideSchema } from '@/core/prescribe/schema';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';
import { devices } from './devices';
import { operation } from './operation';
import { shoes } from './shoes';
import { handOverSchema, isoDay, savedStepSchema, sockKindSchema, stepStateSchema } from './visit-schema';

const id = z.strictObject({ id: z.uuid('This is not an identifier.') });
const lifeSchool = z.enum(Object.keys(LIFE_SCHOOLS) as [LifeSchool, ...LifeSchool[]]);
const named = (what: string) => z.string().trim().min(1, `Enter the ${what}.`).max(120);
const CLINICIANS = ['lead', 'practitioner'] as const;

export const patientSchema = z.strictObject({
  givenName: named('given name'),
  familyName: named('family name'),
  bornOn: isoDay
    .refine((day) => day <= new Date().toISOString().slice(0, 10), 'A date of birth cannot lie ahead.')
    .refine((day) => day > '1900-01-01', 'Check the year of birth.'),
  sizingGroup: z.enum(['men', 'women', 'child']),
  heightMm: z
    .int()
    .min(400, 'Height lies between 40 and 250 cm.')
    .max(2500, 'Height lies between 40 and 250 cm.')
    .nullish(),
  occupation: z.string().max(200).optional(),
  school: schoolSchema.nullish(),
});

export const pairLogSchema = z.strictObject({
  on: isoDay,
  distanceKm: z
    .number()
    .min(0, 'A distance is not negative.')
    .max(3000, 'Over 3000 km in one entry: check the unit.')
    .nullish(),
  comfort: z
    .int('Comfort is a whole number from 0 to 100.')
    .min(0)
    .max(100, 'Comfort lies between 0 and 100.')
    .nullish(),
  note: z.string().max(600).optional(),
});

/** A picture with the choices under which it is resolved. */
const pictureSchema = z.strictObject({
  findings: findingsSchema,
  school: schoolSchema.optional(),
  setAside: z.array(setAsideSchema).max(60).optional(),
  decisions: z.array(decisionSchema).max(60).optional(),
});

/** Every call below /api/v1. */
export const api = {
  ...devices,
  ...shoes,
  specification: operation({
    id: 'calculateSpecification',
    method: 'POST',
    path: '/calculations/specification',
    tag: 'calculations',
    summary: 'Resolve findings into a specification, with every reason',
    body: pictureSchema,
  }),
  comparison: operation({
    id: 'compareSchools',
    method: 'POST',
    path: '/calculations/comparison',
    tag: 'calculations',
    summary: 'The same findings under every school, feature by feature',
    body: pictureSchema.omit({ school: true }),
  }),
  nextQuestions: operation({
    id: 'rankNextQuestions',
    method: 'POST',
    path: '/calculations/next-questions',
    tag: 'calculations',
    summary: 'What nobody has examined, ranked by how much knowing it could change',
    body: pictureSchema.omit({ decisions: true }),
  }),
  reliance: operation({
    id: 'findReliance',
    method: 'POST',
    path: '/calculations/reliance',
    tag: 'calculations',
    summary: 'For each feature the findings that its target hangs on',
    body: pictureSchema.omit({ decisions: true }),
  }),
  whatIf: operation({
    id: 'calculateWhatIf',
    method: 'POST',
    path: '/calculations/what-if',
    tag: 'calculations',
    summary: 'Direction and rough size of load changes when shoe or step rate change; direction, not dose',
    body: z.strictObject({ from: scenarioSchema, to: scenarioSchema }),
  }),
  sizes: operation({
    id: 'calculateSizes',
    method: 'POST',
    path: '/calculations/sizes',
    tag: 'calculations',
    summary: 'A foot length in every size system, with the assumption of each',
    body: z.strictObject({
      footLengthMm: z
        .number()
        .min(90, 'A foot length lies between 90 and 360 mm.')
        .max(360, 'A foot length lies between 90 and 360 mm.'),
      allowanceMm: z.number().min(5).max(25).optional(),
      ballWidthMm: z.number().min(40).max(160).optional(),
      ballGirthMm: z.number().min(100).max(400).optional(),
      group: z.enum(['men', 'women', 'child']).optional(),
    }),
  }),
  socks: operation({
    id: 'calculateSocks',
    method: 'POST',
    path: '/calculations/socks',
    tag: 'calculations',
    summary: 'Fewest prosthetic socks that make a wanted ply',
    body: z.strictObject({
      inventory: z.array(sockKindSchema).max(20),
      wantedPly: z.int().min(0).max(40),
      needsHole: z.boolean(),
    }),
  }),
  alignment: operation({
    id: 'calculateAlignment',
    method: 'POST',
    path: '/calculations/alignment',
    tag: 'calculations',
    summary: 'Lean of a prosthetic shank in a shoe',
    body: z.strictObject({
      shoeRiseMm: z.number(),
      setRiseMm: z.number(),
      leverMm: z.number(),
      adjustable: z.boolean().optional(),
    }),
  }),
  wear: operation({
    id: 'calculateWear',
    method: 'POST',
    path: '/calculations/wear',
    tag: 'calculations',
    summary: 'Replacement window of a pair',
    body: z.strictObject({
      school: lifeSchool.default('median'),
      racing: z.boolean().default(false),
      bodyMassKg: z.number().min(8).max(320).nullable().default(null),
      surface: z.enum(['hard', 'mixed', 'soft']).nullable().default(null),
      ageDays: z.number().min(0).max(20000),
      log: z
        .array(z.strictObject({ day: z.number(), distanceKm: z.number().min(0) }))
        .max(5000)
        .default([]),
      expectedWeeklyKm: z.number().min(0).max(400).nullable().default(null),
    }),
  }),

  today: operation({
    id: 'today',
    method: 'GET',
    path: '/today',
    tag: 'records',
    summary: 'Who needs what, most urgent first',
  }),
  findPatients: operation({
    id: 'findPatients',
    method: 'GET',
    path: '/patients',
    tag: 'records',
    summary: 'Patients by part of the name',
    query: z.object({ q: z.string().max(80).optional() }),
  }),
  addPatient: operation({
    id: 'addPatient',
    method: 'POST',
    path: '/patients',
    tag: 'records',
    summary: 'Add a patient',
    body: patientSchema,
    status: 201,
  }),
  patient: operation({
    id: 'readPatient',
    method: 'GET',
    path: '/patients/{id}',
    tag: 'records',
    summary: 'A patient with pairs and visits',
    params: id,
  }),
  changePatient: operation({
    id: 'changePatient',
    method: 'PATCH',
    path: '/patients/{id}',
    tag: 'records',
    summary: 'Change a patient’s record',
    params: id,
    body: patientSchema.partial(),
  }),
  startVisit: operation({
    id: 'startVisit',
    method: 'POST',
    path: '/patients/{id}/visits',
    tag: 'visits',
    summary: 'Start a visit, or continue the open one',
    params: id,
    status: 201,
  }),
  visit: operation({
    id: 'readVisit',
    method: 'GET',
    path: '/visits/{id}',
    tag: 'visits',
    summary: 'A visit with every saved step',
    params: id,
  }),
  saveStep: operation({
    id: 'saveStep',
    method: 'PUT',
    path: '/visits/{id}/steps/{step}',
    tag: 'visits',
    summary: 'Save one step; 409 with the other version when somebody saved first',
    params: z.strictObject({ id: z.uuid(), step: savedStepSchema }),
    body: z.strictObject({
      revision: z.int().min(0),
      state: stepStateSchema.exclude(['untouched']),
      content: z.record(z.string(), z.unknown()),
    }),
  }),
  presence: operation({
    id: 'presence',
    method: 'POST',
    path: '/visits/{id}/presence',
    tag: 'visits',
    summary: 'Say which step one is on; who else is here',
    params: id,
    body: z.strictObject({ step: savedStepSchema }),
  }),
  closeVisit: operation({
    id: 'closeVisit',
    method: 'POST',
    path: '/visits/{id}/close',
    tag: 'visits',
    summary: 'End a visit without a hand-over, with a reason',
    params: id,
    roles: CLINICIANS,
    body: z.strictObject({ reason: z.string().trim().min(3, 'Write why nothing was handed over.').max(600) }),
  }),
  handOver: operation({
    id: 'handOver',
    method: 'POST',
    path: '/visits/{id}/hand-over',
    tag: 'visits',
    summary: 'Issue the specification and record the pair; refused while a warning sign is open',
    params: id,
    body: handOverSchema,
    status: 201,
    roles: CLINICIANS,
  }),
  knowledge: operation({
    id: 'readKnowledge',
    method: 'GET',
    path: '/knowledge',
    tag: 'knowledge',
    summary: 'The rules in force in this clinic, and how often each fired and was overruled',
  }),
  houseRules: operation({
    id: 'listHouseRules',
    method: 'GET',
    path: '/knowledge/house-rules',
    tag: 'knowledge',
    summary: 'Every version of the clinic’s house rules, newest first',
  }),
  saveHouseRules: operation({
    id: 'saveHouseRules',
    method: 'POST',
    path: '/knowledge/house-rules',
    tag: 'knowledge',
    summary: 'Put a new version of the house rules in force; 409 when another came first',
    body: houseRulesSchema.extend({
      basedOn: z.int().min(0),
      note: z.string().trim().min(3, 'Say what this version is for.').max(600),
    }),
    bodyLimit: 1_000_000,
    status: 201,
    roles: ['lead'],
  }),
  previewHouseRules: operation({
    id: 'previewHouseRules',
    method: 'POST',
    path: '/knowledge/house-rules/preview',
    tag: 'knowledge',
    summary:
      'Which issued specifications would change: a line of JSON each, with progress; closing it cancels',
    body: houseRulesSchema,
    bodyLimit: 1_000_000,
    produces: 'application/x-ndjson',
    roles: CLINICIANS,
  }),
  replay: operation({
    id: 'replaySpecification',
    method: 'GET',
    path: '/specifications/{id}/replay',
    tag: 'knowledge',
    summary: 'An issued specification, replayed with the rules of its edition and with those of today',
    params: id,
  }),
  logPair: operation({
    id: 'logPair',
    method: 'POST',
    path: '/pairs/{id}/log',
    tag: 'records',
    summary: 'Log distance and comfort of a pair',
    params: id,
    body: pairLogSchema,
    status: 201,
  }),
  endPair: operation({
    id: 'endPair',
    method: 'POST',
    path: '/pairs/{id}/end',
    tag: 'records',
    summary: 'Retire a pair',
    params: id,
    body: z.strictObject({ on: isoDay }),
  }),
  changeClinic: operation({
    id: 'changeClinic',
    method: 'PATCH',
    path: '/clinic',
    tag: 'clinic',
    summary: 'Change the clinic’s defaults',
    body: z.strictObject({ school: schoolSchema.optional(), lifeSchool: lifeSchool.optional() }),
    roles: ['lead'],
  }),
  tokens: operation({
    id: 'listTokens',
    method: 'GET',
    path: '/tokens',
    tag: 'clinic',
    summary: 'One’s own access tokens',
  }),
  addToken: operation({
    id: 'addToken',
    method: 'POST',
    path: '/tokens',
    tag: 'clinic',
    summary: 'Make an access token; it is shown once',
    body: z.strictObject({ name: named('name of the token'), days: z.int().min(1).max(365) }),
    status: 201,
  }),
  removeToken: operation({
    id: 'removeToken',
    method: 'DELETE',
    path: '/tokens/{id}',
    tag: 'clinic',
    summary: 'Revoke an access token',
    params: id,
    status: 204,
  }),
} as const;

export type Api = typeof api;
