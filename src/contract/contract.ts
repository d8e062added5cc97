import { z } from 'zod';
import { presenceAnswerSchema, visitRecordSchema } from '@/contract/answers/records';
import { idSchema, momentSchema, stepRecordSchema } from '@/contract/answers/shared';
import { patientSheetSchema } from '@/core/aftercare/sheet-schema';
import { handOverSchema, savedStepSchema, stepStateSchema } from '@/core/visit/contents';
import { access } from './access';
import { breakInPreviewSchema } from './answers/break-in';
import { calculations } from './calculations';
import { addedSchema, byId, INT4_MAX } from './common';
import { devices } from './devices';
import { home } from './home';
import { insights } from './insights';
import { knowledge } from './knowledge';
import { limb } from './limb';
import { operation } from './operation';
import { pairs } from './pairs';
import { patients } from './patients';
import { people } from './people';
import { recall } from './recall';
import { ROUTES } from './routes';
import { shoes } from './shoes';
import { tracks } from './tracks';

/** Every call below /api/v1. */
export const api = {
  ...devices,
  ...calculations,
  ...knowledge,
  ...shoes,
  ...people,
  ...patients,
  ...access,
  ...pairs,
  ...insights,
  ...home,
  ...recall,
  ...limb,
  ...tracks,
  startVisit: operation(ROUTES.startVisit, {
    id: 'startVisit',
    answer: addedSchema,
    tag: 'visits',
    summary: 'Start a visit, or continue the open one',
    params: byId,
    status: 201,
  }),
  visit: operation(ROUTES.visit, {
    id: 'readVisit',
    answer: visitRecordSchema,
    tag: 'visits',
    summary: 'A visit with every saved step',
    params: byId,
  }),
  saveStep: operation(ROUTES.saveStep, {
    id: 'saveStep',
    answer: z.object({ revision: z.int(), savedAt: momentSchema }),
    conflict: stepRecordSchema,
    tag: 'visits',
    summary: 'Save one step; 409 with the other version when somebody saved first',
    params: z.strictObject({ id: z.uuid(), step: savedStepSchema }),
    body: z.strictObject({
      revision: z.int().min(0).max(INT4_MAX),
      state: stepStateSchema.exclude(['untouched']),
      content: z.record(z.string(), z.unknown()),
    }),
  }),
  presence: operation(ROUTES.presence, {
    id: 'presence',
    answer: presenceAnswerSchema,
    tag: 'visits',
    summary: 'Say which step one is on; who else is here',
    params: byId,
    body: z.strictObject({ step: savedStepSchema }),
  }),
  previewBreakIn: operation(ROUTES.previewBreakIn, {
    id: 'previewBreakIn',
    answer: breakInPreviewSchema,
    tag: 'visits',
    summary: 'How the chosen pair would be broken in, on the patient’s own week; nothing is kept',
    params: byId,
    body: handOverSchema,
  }),
  closeVisit: operation(ROUTES.closeVisit, {
    id: 'closeVisit',
    answer: z.object({ closedBecause: z.string() }),
    tag: 'visits',
    summary: 'End a visit without a hand-over, with a reason',
    params: byId,
    body: z.strictObject({ reason: z.string().trim().min(3, 'Write why nothing was handed over.').max(600) }),
  }),
  handOver: operation(ROUTES.handOver, {
    id: 'handOver',
    answer: z.object({ pairId: idSchema, sheet: patientSheetSchema }),
    tag: 'visits',
    summary: 'Issue the specification and record the pair; refused while a warning sign is open',
    params: byId,
    body: handOverSchema,
    status: 201,
  }),
} as const;

export type Api = typeof api;
